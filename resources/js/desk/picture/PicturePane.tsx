import { useCallback, useEffect, useLayoutEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { uploadPicture } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { FileButton } from '../../ui/FileButton';
import { complain, tell } from '../../ui/notices';
import { useData } from '../data';
import { MissingFile } from '../MissingFile';

type Look = { x: number; y: number; k: number };

/** Where each picture was looked at last: it stays as it was left, whatever is done in the drawings. */
const looks = new Map<string, Look>();
let pinned: string | null = null;

/** A picture to look at while working, zoomed and moved on its own. */
export function PicturePane() {
    const data = useData();
    const { pictures } = data.project;
    const [which, setWhich] = useState(pinned);
    const [busy, setBusy] = useState(false);
    const shown = pictures.find((p) => p.id === which) ?? pictures[0];
    const choose = (id: string) => {
        pinned = id;
        setWhich(id);
    };
    const pin = async (file: File) => {
        setBusy(true);
        try {
            const read = await uploadPicture(data.id, file);
            const names = new Set(pictures.map((p) => p.name));
            const plain = file.name.replace(/\.\w+$/, '').slice(0, 70) || 'Picture';
            const name = names.has(plain) ? Array.from({ length: 99 }, (_, i) => `${plain} ${i + 2}`).find((n) => !names.has(n)) : plain;
            const outcome = await data.edit('picture.keep', { name, file: read.file }, { quiet: true });
            if (outcome?.chosen[0]) choose(outcome.chosen[0]);
            if (read.notes.length > 0) tell(read.notes.join(' '));
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    const add = data.mayEdit && (
        <FileButton accept=".png,.jpg,.jpeg" small look={shown ? 'plain' : 'main'} busy={busy} onFile={(f) => void pin(f)}>
            {shown ? 'Pin another' : 'Pin a picture'}
        </FileButton>
    );
    if (!shown)
        return (
            <div className="h-full bg-sheet p-4">
                <p className="mb-2">
                    A picture to work from, pinned here beside the drawing: a photograph, a sketch, a detail. PNG or JPEG.
                </p>
                {add}
            </div>
        );
    return (
        <div className="flex h-full flex-col">
            <div className="flex flex-wrap items-center gap-2 px-3 py-1 text-xs">
                {pictures.length > 1 ? (
                    <Choice
                        label="Which picture"
                        value={shown.id}
                        options={pictures.map((p) => ({ value: p.id, label: p.name }))}
                        onChange={choose}
                    />
                ) : (
                    <b className="truncate">{shown.name}</b>
                )}
                {add}
                {data.mayEdit && (
                    <Button
                        small
                        look="plain"
                        onClick={() =>
                            void data
                                .edit('picture.remove', { id: shown.id })
                                .then((done) => done && tell(`${done.summary}.`, { label: 'Undo', run: () => void data.undo() }))
                        }
                    >
                        Remove
                    </Button>
                )}
            </div>
            <Pinned key={shown.id} id={shown.id} name={shown.name} address={`/api/projects/${data.id}/files/${shown.file}`} />
        </div>
    );
}

function Pinned({ id, name, address }: { id: string; name: string; address: string }) {
    const data = useData();
    const box = useRef<HTMLDivElement>(null);
    const image = useRef<HTMLImageElement>(null);
    const [look, setLook] = useState<Look | null>(looks.get(id) ?? null);
    const [broken, setBroken] = useState(false);
    const held = useRef<{ x: number; y: number; look: Look } | null>(null);
    const keep = useCallback(
        (next: Look) => {
            looks.set(id, next);
            setLook(next);
        },
        [id],
    );
    const fit = useCallback(() => {
        const [b, i] = [box.current, image.current];
        if (!b || !i || i.naturalWidth === 0) return;
        const k = Math.min(b.clientWidth / i.naturalWidth, b.clientHeight / i.naturalHeight);
        keep({ k, x: (b.clientWidth - i.naturalWidth * k) / 2, y: (b.clientHeight - i.naturalHeight * k) / 2 });
    }, [keep]);
    const zoom = useCallback(
        (factor: number, px?: number, py?: number) => {
            const b = box.current;
            const at = looks.get(id);
            if (!b || !at) return;
            const [cx, cy] = [px ?? b.clientWidth / 2, py ?? b.clientHeight / 2];
            const k = Math.min(20, Math.max(0.01, at.k * factor));
            keep({ k, x: cx - ((cx - at.x) * k) / at.k, y: cy - ((cy - at.y) * k) / at.k });
        },
        [id, keep],
    );
    useEffect(() => {
        const b = box.current!;
        const onWheel = (event: WheelEvent) => {
            event.preventDefault();
            const r = b.getBoundingClientRect();
            zoom(Math.exp(-event.deltaY * 0.0015), event.clientX - r.left, event.clientY - r.top);
        };
        b.addEventListener('wheel', onWheel, { passive: false });
        return () => b.removeEventListener('wheel', onWheel);
    }, [zoom]);
    useLayoutEffect(() => {
        if (!look && image.current?.complete) fit();
    }, [look, fit]);
    const move = (event: ReactPointerEvent) => {
        const h = held.current;
        if (h) keep({ ...h.look, x: h.look.x + event.clientX - h.x, y: h.look.y + event.clientY - h.y });
    };
    return (
        <div
            ref={box}
            role="img"
            tabIndex={0}
            aria-label={`${name}. Drag to move, wheel or + and − to zoom, 0 to see it whole.`}
            className="relative min-h-0 grow cursor-grab touch-none overflow-hidden bg-paper"
            data-picture={look ? `${look.x.toFixed(0)},${look.y.toFixed(0)},${look.k.toFixed(4)}` : ''}
            onPointerDown={(e) => {
                const at = looks.get(id);
                if (!at) return;
                held.current = { x: e.clientX, y: e.clientY, look: at };
                e.currentTarget.setPointerCapture(e.pointerId);
            }}
            onPointerMove={move}
            onPointerUp={() => (held.current = null)}
            onPointerCancel={() => (held.current = null)}
            onDoubleClick={fit}
            onKeyDown={(e) => {
                const at = looks.get(id);
                if (!at) return;
                const by = { ArrowLeft: [40, 0], ArrowRight: [-40, 0], ArrowUp: [0, 40], ArrowDown: [0, -40] }[e.key];
                if (by) keep({ ...at, x: at.x + by[0]!, y: at.y + by[1]! });
                else if (e.key === '+' || e.key === '=') zoom(1.25);
                else if (e.key === '-') zoom(0.8);
                else if (e.key === '0') fit();
                else return;
                e.preventDefault();
                e.stopPropagation();
            }}
        >
            {broken ? (
                <div className="p-3" onPointerDown={(e) => e.stopPropagation()} onKeyDown={(e) => e.stopPropagation()}>
                    <MissingFile
                        what="This picture’s file"
                        accept=".png,.jpg,.jpeg"
                        file={address.slice(address.lastIndexOf('/') + 1)}
                        read={(file) => uploadPicture(data.id, file)}
                        replace={({ file }) => data.edit('picture.keep', { id, file })}
                        onBack={() => setBroken(false)}
                    />
                </div>
            ) : (
                <img
                    ref={image}
                    src={address}
                    alt=""
                    draggable={false}
                    onLoad={() => !looks.has(id) && fit()}
                    onError={() => setBroken(true)}
                    className="absolute top-0 left-0 max-w-none origin-top-left select-none"
                    style={look ? { transform: `translate(${look.x}px, ${look.y}px) scale(${look.k})` } : { visibility: 'hidden' }}
                />
            )}
        </div>
    );
}
