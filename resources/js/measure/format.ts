import type { Units } from '../api/client';

const INCH = 25.4;

/** Rounded as the core rounds: halves away from zero, and what is within a part in 10¹⁵ of a half counts as one. */
function round(value: number, places: number): number {
    const scaled = Number((Math.abs(value) * 10 ** places).toPrecision(15));
    return (Math.sign(value) * Math.floor(scaled + 0.5)) / 10 ** places;
}

/** A length in mm as the project's units write it: as the core's Length::format does (tests/Peers holds the two together). */
export function formatLength(mm: number, units: Units): string {
    if (units === 'm') return (Math.abs(mm - Math.round(mm)) > 0.05 ? '≈' : '') + group(round(mm / 1000, 3).toFixed(3)) + ' m';
    if (units === 'ft-in') return feetInches(mm);
    const rounded = round(mm, 1) + 0;
    return group(Number.isInteger(rounded) ? rounded.toString() : rounded.toFixed(1));
}

/** Square metres with two places, whatever the length units are mm or m; square feet otherwise. */
export function formatArea(mm2: number, units: Units): string {
    return units === 'ft-in' ? `${group(round(mm2 / (304.8 * 304.8), 1).toFixed(1))} ft²` : `${group(round(mm2 / 1e6, 2).toFixed(2))} m²`;
}

export function formatVolume(mm3: number, units: Units): string {
    return units === 'ft-in'
        ? `${group(round(mm3 / (304.8 * 304.8 * 304.8), 1).toFixed(1))} ft³`
        : `${group(round(mm3 / 1e9, 3).toFixed(3))} m³`;
}

/** A level over the datum, always with its sign. */
export function formatLevel(mm: number, units: Units): string {
    if (units === 'ft-in') return (mm < 0 ? '' : '+') + feetInches(mm);
    return (mm < 0 ? '−' : '+') + round(Math.abs(mm) / 1000, 2).toFixed(2);
}

function group(text: string): string {
    const [whole = '', part] = text.replace('-', '−').split('.');
    const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f');
    return part === undefined ? grouped : `${grouped}.${part}`;
}

function feetInches(mm: number): string {
    const sixteenths = round((Math.abs(mm) / INCH) * 16, 0);
    const exact = Math.abs((sixteenths * INCH) / 16 - Math.abs(mm)) <= 0.05;
    const sign = (exact ? '' : '≈') + (mm < 0 && sixteenths > 0 ? '−' : '');
    const feet = Math.floor(sixteenths / 192);
    const inches = Math.floor((sixteenths % 192) / 16);
    const part = sixteenths % 16;
    const divisor = part & -part;
    const fraction = part > 0 ? ` ${part / divisor}/${16 / divisor}` : '';
    const inchText = inches === 0 && fraction ? fraction.trim() : `${inches}${fraction}`;
    return `${sign}${feet > 0 ? `${feet}' ` : ''}${inchText}"`;
}
