import type { Option } from '../ui/Choice';

/** What a light can be, in the order a person thinks of them. */
export const operations: Option[] = [
    { value: 'fixed', label: 'fixed' },
    { value: 'side-hung', label: 'side-hung' },
    { value: 'side-hung-pair', label: 'side-hung pair' },
    { value: 'top-hung', label: 'top-hung' },
    { value: 'bottom-hung', label: 'bottom-hung' },
    { value: 'tilt-and-turn', label: 'tilt-and-turn' },
    { value: 'horizontal-pivot', label: 'horizontally pivoted' },
    { value: 'vertical-pivot', label: 'vertically pivoted' },
    { value: 'sliding', label: 'sliding' },
    { value: 'vertical-sliding', label: 'vertical sliding' },
    { value: 'folding', label: 'folding' },
    { value: 'hinged-door', label: 'hinged door' },
    { value: 'door-pair', label: 'pair of doors' },
    { value: 'sliding-door', label: 'sliding door' },
    { value: 'louvre', label: 'louvre' },
    { value: 'open', label: 'open' },
];

export const sides: Option[] = [
    { value: 'left', label: 'left' },
    { value: 'right', label: 'right' },
];

export const ways: Option[] = [
    { value: 'inward', label: 'inward' },
    { value: 'outward', label: 'outward' },
];

export const styles: Option[] = [
    { value: 'glazed', label: 'glazed' },
    { value: 'part-glazed', label: 'part glazed' },
    { value: 'panelled', label: 'panelled' },
    { value: 'flush', label: 'flush' },
];

export const parts: Record<string, string> = {
    'frame-outside': 'Frame outside',
    'frame-inside': 'Frame inside',
    sash: 'Sashes',
    leaf: 'Door leaves',
    bars: 'Glazing bars',
    infill: 'Infills',
    louvre: 'Louvres',
    hardware: 'Hardware',
};

export const outlines: Option[] = [
    { value: 'rectangle', label: 'a rectangle' },
    { value: 'sloped', label: 'a sloped head' },
    { value: 'gable', label: 'a gable' },
    { value: 'profile', label: 'a head in stretches' },
    { value: 'segmental', label: 'a segmental arch' },
    { value: 'semicircular', label: 'a semicircular arch' },
    { value: 'pointed', label: 'a pointed arch' },
    { value: 'elliptical', label: 'an elliptical arch' },
    { value: 'round', label: 'round' },
    { value: 'polygon', label: 'a polygon' },
];
