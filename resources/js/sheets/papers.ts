import type { Paper } from '../api/client';

export const papers: { value: Paper; label: string }[] = (
    ['A4', 'A3', 'A2', 'A1', 'A0', 'ANSI-A', 'ANSI-B', 'ANSI-C', 'ANSI-D', 'ANSI-E'] as const
).map((value) => ({ value, label: value.replace('-', ' ') }));

/** The scales offered, those of feet and inches by their inch to the foot. */
export const scales = (feet: boolean): { value: string; label: string }[] =>
    feet
        ? [
              [12, '1" = 1\'-0"'],
              [16, '3/4" = 1\'-0"'],
              [24, '1/2" = 1\'-0"'],
              [48, '1/4" = 1\'-0"'],
              [64, '3/16" = 1\'-0"'],
              [96, '1/8" = 1\'-0"'],
              [192, '1/16" = 1\'-0"'],
              [384, '1/32" = 1\'-0"'],
          ].map(([value, label]) => ({ value: String(value), label: String(label) }))
        : [5, 10, 20, 25, 50, 100, 200, 250, 500, 1000].map((s) => ({ value: String(s), label: `1:${s}` }));
