/** "33.3 %", "33.3" or "1/3" as a share from 0 to 1. */
export function shareOf(text: string): number | null {
    const fraction = /^\s*(\d+)\s*\/\s*(\d+)\s*$/.exec(text);
    if (fraction && Number(fraction[2]) > 0) return Number(fraction[1]) / Number(fraction[2]);
    const percent = /^\s*(\d+(?:[.,]\d+)?)\s*%?\s*$/.exec(text);
    return percent ? Number(percent[1]!.replace(',', '.')) / 100 : null;
}
