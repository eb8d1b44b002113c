import { Key } from '../ui/Key';
import { useState } from 'react';
import type { BenchLight } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { useData } from '../desk/data';
import { create } from 'zustand';
import { step, useBench } from './draft';

type Form = 'columns' | 'rows' | 'cut' | null;

/** Which form stands open; keys open it too. */
export const useDividing = create<{ form: Form }>(() => ({ form: null }));

export const openForm = (form: Form): void => useDividing.setState((s) => ({ form: s.form === form ? null : form }));

/** The division a region is a part of. */
const parentOf = (path: string): string | null => (path === '' ? null : path.includes('.') ? path.slice(0, path.lastIndexOf('.')) : '');

export function joinChosen(paths: string[]): void {
    if (paths.length === 2) void step('join', { paths }, 'card join');
}

/** Steps that divide the chosen light, or put it together with its neighbour. */
export function Dividing({ paths, lights }: { paths: string[]; lights: BenchLight[] }) {
    const form = useDividing((s) => s.form);
    const wrong = useBench((b) =>
        b.wrong && ['card divide', 'card cut', 'card join', 'card parent', 'divider'].includes(b.wrong.field) ? b.wrong.message : null,
    );
    const view = useBench((b) => b.view);
    const path = paths[0]!;
    const parent = parentOf(path);
    const isGrid = view !== null && view.dividers.length > 0;
    const button = (label: string, key: string | null, onClick: () => void, on = false) => (
        <button
            type="button"
            aria-pressed={on}
            onClick={onClick}
            className={`inline-flex min-h-6 items-center gap-1 rounded px-1.5 text-tide hover:bg-tide-wash ${on ? 'bg-tide-wash font-semibold' : ''}`}
        >
            {label}
            {key && <Key of={key} />}
        </button>
    );
    return (
        <div className="my-2 border-y border-hairline py-1.5">
            <div className="flex flex-wrap gap-x-0.5 gap-y-1">
                {button('Columns', 'D', () => openForm('columns'), form === 'columns')}
                {button('Rows', 'R', () => openForm('rows'), form === 'rows')}
                {button('Cut off', 'C', () => openForm('cut'), form === 'cut')}
                {paths.length === 2 && button('Join', 'J', () => joinChosen(paths))}
                {parent !== null && button('Equalise', 'E', () => void step('equalise', { path: parent }, 'card parent'))}
                {parent !== null && button('Undivide', 'U', () => void step('undivide', { path: parent }, 'card parent'))}
                {parent !== null &&
                    isGrid &&
                    parentOf(parent) !== null &&
                    button('Run the others through', null, () => void step('turn', { path: parentOf(parent) }, 'card parent'))}
            </div>
            {(form === 'columns' || form === 'rows') && <Divide key={`${form} ${path}`} path={path} axis={form} />}
            {form === 'cut' && <Cut key={path} path={path} light={lights[0]!} />}
            {wrong && (
                <p role="alert" className="mt-1 border-l-3 border-buoy bg-buoy-wash px-2 py-1 text-xs leading-snug text-buoy">
                    {wrong}
                </p>
            )}
        </div>
    );
}

const field = 'min-w-0 grow rounded-sm border-b border-tide bg-tide-wash px-1.5 min-h-6';

/** "3" parts alike, or sizes with a rest: "650, 1500, 750, rest". */
function Divide({ path, axis }: { path: string; axis: 'columns' | 'rows' }) {
    const [text, setText] = useState('2');
    const run = async () => {
        const sizes = text.split(/[,;]/).map((s) => s.trim());
        const count = sizes.length === 1 && /^\d{1,2}$/.test(sizes[0]!) ? Number(sizes[0]) : null;
        const args = count !== null ? { count } : { sizes: sizes.map((s) => (s === '' || /^rest$/i.test(s) ? null : s)) };
        if (await step('divide', { path, axis, ...args }, 'card divide')) openForm(null);
    };
    return (
        <form
            className="mt-1.5 flex items-center gap-2"
            onSubmit={(e) => {
                e.preventDefault();
                void run();
            }}
        >
            <label className="sr-only" htmlFor="divide-into">
                Into {axis}
            </label>
            <input
                id="divide-into"
                autoFocus
                value={text}
                onFocus={(e) => e.target.select()}
                onChange={(e) => setText(e.target.value)}
                onKeyDown={(e) => e.key === 'Escape' && openForm(null)}
                title="A number of equal parts, or sizes with commas: 650, 1500, rest"
                className={field}
            />
            <Button small look="main" type="submit">
                Into {axis}
            </Button>
            <span className="text-xs leading-tight text-quiet">
                3, or
                <br />
                650, 1500, rest
            </span>
        </form>
    );
}

function Cut({ path, light }: { path: string; light: BenchLight }) {
    const data = useData();
    const [side, setSide] = useState('below');
    const [size, setSize] = useState('');
    const run = async () => {
        const share = /^\s*(\d+(?:[.,]\d+)?)\s*%\s*$/.exec(size) ?? null;
        const fraction = /^\s*(\d+)\s*\/\s*(\d+)\s*$/.exec(size);
        const args = share
            ? { fraction: Number(share[1]!.replace(',', '.')) / 100 }
            : fraction
              ? { fraction: Number(fraction[1]) / Number(fraction[2]) }
              : { size };
        if (await step('cut', { path, side, ...args }, 'card cut')) openForm(null);
    };
    return (
        <form
            className="mt-1.5 flex items-center gap-2"
            onSubmit={(e) => {
                e.preventDefault();
                void run();
            }}
        >
            <Choice
                label="Side"
                value={side}
                options={[
                    { value: 'below', label: 'below' },
                    { value: 'above', label: 'above' },
                    { value: 'left', label: 'left' },
                    { value: 'right', label: 'right' },
                ]}
                onChange={setSide}
            />
            <label className="sr-only" htmlFor="cut-size">
                Size cut off
            </label>
            <input
                id="cut-size"
                autoFocus
                value={size}
                placeholder={data.length(Math.round((light.box[3]! - light.box[1]!) / 30) * 10)}
                onChange={(e) => setSize(e.target.value)}
                onKeyDown={(e) => e.key === 'Escape' && openForm(null)}
                title="A size, per cent, or a fraction such as 1/3"
                className={field}
            />
            <Button small look="main" type="submit">
                Cut off
            </Button>
        </form>
    );
}
