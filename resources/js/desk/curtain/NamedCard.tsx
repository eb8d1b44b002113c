import { Button } from '../../ui/Button';
import { Heading } from '../card/parts';
import { useData } from '../data';
import type { PartName } from '../store';
import { Back } from './Back';
import { mirrorNamed, namedIn, removeNamed } from './named';
import { PartsFoot } from './PartsFoot';

/** What stands at corners, and free members, that are chosen of a curtain wall. */
export function NamedCard({ named }: { named: PartName[] }) {
    const data = useData();
    const found = namedIn(data, named);
    const free = found.filter((m) => m.place !== undefined);
    const one = found.length === 1 ? found[0] : undefined;
    if (found.length === 0) return <Back element={named[0]!.element} />;
    const what = one ? one.says : `${found.length} members`;
    const note = one && one.part === 'corner end' ? 'where two stretches meet' : undefined;
    return (
        <>
            <Heading title={what} note={note} />
            {data.mayEdit && free.length > 0 && (
                <div className="mt-2 flex flex-wrap gap-1.5">
                    <Button small title="A copy the other way about the middle" onClick={() => void mirrorNamed(data, named)}>
                        Mirror
                    </Button>
                    <Button small look="danger" onClick={() => void removeNamed(data, named)}>
                        Remove <kbd className="font-sans text-[11px]">Del</kbd>
                    </Button>
                </div>
            )}
            <PartsFoot parts={named} what={one ? one.says.charAt(0).toLowerCase() + one.says.slice(1) : what} />
            <Back element={named[0]!.element} />
        </>
    );
}
