import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { create } from 'zustand';
import { api, Problem, type Here, type Project } from '../api/client';
import { useData } from '../desk/data';
import { useDesk } from '../desk/store';
import { refetchProject } from '../desk/refetch';

/** How often one says that one is there, ms; less often while the page is not looked at. */
const OFTEN = 2500;
const SELDOM = 20000;

export const usePresence = create<{ here: Here[]; out: string | null }>(() => ({ here: [], out: null }));

/**
 * Says every few seconds that one is in the project and hears who else is. When someone has changed something, what is shown is asked for
 * again; what is chosen, typed or in hand stays.
 */
export function useKeepingUp(): void {
    const data = useData();
    const queries = useQueryClient();
    const { id } = data;
    const { storeys } = data.project;
    useEffect(() => {
        let timer = 0;
        let gone = false;
        const round = async () => {
            const { storey, main } = useDesk.getState();
            const place = [main === 'solid' ? 'the solid model' : `the ${main}`, storeys.find((s) => s.id === storey)?.name]
                .filter(Boolean)
                .join(', ');
            try {
                const heard = await api.presence(id, place);
                if (gone) return;
                const same = JSON.stringify(heard.here) === JSON.stringify(usePresence.getState().here);
                if (!same || usePresence.getState().out) usePresence.setState({ here: heard.here, out: null });
                const known = queries.getQueryData<Project>(['project', id]);
                if (known && (heard.number > known.number || heard.role !== known.role) && !queries.isMutating()) {
                    await refetchProject(queries, id);
                }
            } catch (problem) {
                // taken out of the project, or its link was ended: it is said, and what is on the screen stays
                if (!gone && problem instanceof Problem && [401, 404, 419].includes(problem.status))
                    usePresence.setState({
                        here: [],
                        out: 'You are not in this project any more: you were taken out, signed out, or the link was ended. Nothing you do here is kept.',
                    });
            }
            if (!gone) timer = window.setTimeout(() => void round(), document.hidden ? SELDOM : OFTEN);
        };
        timer = window.setTimeout(() => void round(), 600);
        const back = () => {
            if (document.hidden) return;
            window.clearTimeout(timer);
            void round();
        };
        document.addEventListener('visibilitychange', back);
        return () => {
            gone = true;
            window.clearTimeout(timer);
            document.removeEventListener('visibilitychange', back);
            usePresence.setState({ here: [], out: null });
        };
        // storeys only name the place
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [id, queries]);
}
