import type { Frontage } from '../api/client';

/** Which way a frontage faces: a curved one from its left end to its right end. */
export function bearingOf(frontage: Frontage): string {
    const said = (degrees: number) => `${Math.round(degrees) % 360}°`;
    const [from, to] = frontage.bearings ?? [];
    return from === undefined || to === undefined ? said(frontage.bearing) : `${said(from)} to ${said(to)}`;
}
