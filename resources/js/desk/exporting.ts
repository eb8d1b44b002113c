import { api, type Layout } from '../api/client';
import { complain } from '../ui/notices';

/** Has the browser fetch a file that the server makes. */
export function download(project: string, file: string): void {
    const link = document.createElement('a');
    link.href = `/api/projects/${project}/exports/${file}`;
    link.download = '';
    link.click();
}

/** The same for a schedule whose layout is not kept: what is asked for does not fit in an address. */
export async function downloadTried(project: string, format: 'csv' | 'xlsx' | 'pdf', layout: Layout): Promise<void> {
    try {
        const file = await api.exportTried(project, format, layout);
        const link = document.createElement('a');
        link.href = URL.createObjectURL(file);
        link.download = `${layout.name}.${format}`;
        link.click();
        window.setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    } catch (problem) {
        complain(problem);
    }
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
