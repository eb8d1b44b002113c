import type { Frontage, Project } from '../api/client';

/** Which way a frontage faces: a curved one from its left end to its right end. */
export function bearingOf(frontage: Frontage): string {
    const said = (degrees: number) => `${Math.round(degrees) % 360}°`;
    const [from, to] = frontage.bearings ?? [];
    return from === undefined || to === undefined ? said(frontage.bearing) : `${said(from)} to ${said(to)}`;
}

/** Which of several that face the same way a frontage is: how far behind another it lies, or whose it is; nothing where it is the first. */
export function whichOf(frontage: Frontage, { project, length }: { project: Project; length: (mm: number) => string }): string {
    if (frontage.setBack) return `${length(frontage.setBack.by)} behind ${frontage.setBack.behind}`;
    const first = project.frontages.find((f) => !f.inner);
    if (frontage.inner || frontage.outline === first?.outline) return '';
    return project.outlines.find((o) => o.id === frontage.outline)?.name ?? '';
}
