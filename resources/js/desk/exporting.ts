/** Has the browser fetch a file that the server makes. */
export function download(project: string, file: string): void {
    const link = document.createElement('a');
    link.href = `/api/projects/${project}/exports/${file}`;
    link.download = '';
    link.click();
}

export const exportsOffered = [
    { label: 'Elevation, SVG, true size (1 mm = 1 mm)', file: 'elevation.svg' },
    { label: 'Elevation, SVG at 1:50', file: 'elevation.svg?scale=50' },
    { label: 'Elevation, SVG at 1:100', file: 'elevation.svg?scale=100' },
    { label: 'Model, GLB', file: 'model.glb' },
    { label: 'Schedule of openings, XLSX', file: 'schedules/by-type.xlsx' },
    { label: 'Schedule of openings, CSV', file: 'schedules/by-type.csv' },
    { label: 'Schedule of walls, XLSX', file: 'schedules/walls.xlsx' },
    { label: 'Schedule of walls, CSV', file: 'schedules/walls.csv' },
];
