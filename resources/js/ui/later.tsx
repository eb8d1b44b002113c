import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { Button } from './Button';

/** What was fetched once is there at once the next time. */
function part<P extends object>(fetch: () => Promise<ComponentType<P>>) {
    let there: ComponentType<P> | null = null;
    return { there: () => there, fetch: () => fetch().then((found) => (there = found)) };
}

/**
 * A part of the page whose scripts are fetched when it is first needed. Where they cannot be fetched (the network is away, or Isleward was
 * renewed meanwhile) that is said, and the page can be loaded again.
 *
 * @param name what it is, as a sentence begins: "The sheets"
 * @param until what stands in its place meanwhile; nothing for a dialog
 */
export function later<P extends object>(
    name: string,
    fetch: () => Promise<ComponentType<P>>,
    until: ReactNode = <p className="p-4 text-quiet">Opening…</p>,
): ComponentType<P> {
    const mine = part(fetch);
    return function Later(props: P) {
        const [Part, setPart] = useState<ComponentType<P> | null>(mine.there);
        const [failed, setFailed] = useState(false);
        useEffect(() => {
            if (Part) return;
            let gone = false;
            mine.fetch().then(
                (found) => !gone && setPart(() => found),
                () => !gone && setFailed(true),
            );
            return () => {
                gone = true;
            };
        }, [Part]);
        if (Part) return <Part {...props} />;
        if (!failed) return until;
        return (
            <div role="alert" className="p-4">
                <p className="mb-2">{name} could not be fetched. Nothing you did is lost.</p>
                <Button onClick={() => window.location.reload()}>Load the page again</Button>
            </div>
        );
    };
}
