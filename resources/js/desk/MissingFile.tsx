import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { FileButton } from '../ui/FileButton';
import { complain, tell } from '../ui/notices';
import { useData } from './data';
import { refetchProject } from './refetch';

type Props<T extends { file: string }> = {
    /** what is missing, as people call it: "The file of this tracing" */
    what: string;
    accept: string;
    /** the stored name it goes by; the same file given again has the same */
    file: string;
    read: (file: File) => Promise<T>;
    /** used instead, when it is another one */
    replace: (read: T) => Promise<unknown>;
    onBack?: () => void;
};

/** Said where a file is used that the server has lost; it can be given again right there. */
export function MissingFile<T extends { file: string }>({ what, accept, file, read, replace, onBack }: Props<T>) {
    const data = useData();
    const queries = useQueryClient();
    const [busy, setBusy] = useState(false);
    const give = async (given: File) => {
        setBusy(true);
        try {
            const made = await read(given);
            if (made.file === file) tell('It is the same file: it is back in its place.');
            else await replace(made);
            await queries.invalidateQueries({ queryKey: ['file', data.id] });
            await refetchProject(queries, data.id);
            onBack?.();
        } catch (problem) {
            complain(problem);
        } finally {
            setBusy(false);
        }
    };
    return (
        <div className="flex flex-wrap items-center gap-2 py-1 text-buoy" role="alert" data-missing={file}>
            <span>{what} is missing on the server.</span>
            {data.mayEdit && (
                <FileButton accept={accept} small busy={busy} onFile={(f) => void give(f)}>
                    Upload it again
                </FileButton>
            )}
        </div>
    );
}
