import { useDesk } from '../store';

/** From a part of a curtain wall to all of it. */
export function Back({ element }: { element: string }) {
    return (
        <p className="mt-3">
            <button
                type="button"
                className="min-h-6 text-tide underline"
                onClick={() => useDesk.setState({ cells: [], pieces: [], named: [], chosen: [element] })}
            >
                The whole curtain wall
            </button>
        </p>
    );
}
