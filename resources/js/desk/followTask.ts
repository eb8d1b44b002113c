import { api, Problem, type Task } from '../api/client';
import { untilAnswered } from '../api/reach';
import { useDesk } from './store';

/** Shows how far a task is until it is done; throws why it is not, also when it was stopped. */
export async function followTask(project: string, what: string, begun: Promise<Task>): Promise<Task> {
    let task = await begun;
    try {
        while (task.state === 'waiting' || task.state === 'running' || task.state === 'stopping') {
            useDesk.setState({ going: { id: task.id, what, done: task.done, total: task.total, state: task.state } });
            await new Promise((later) => window.setTimeout(later, 350));
            const { id } = task;
            task = await untilAnswered(() => api.task(project, id));
        }
    } finally {
        useDesk.setState({ going: null });
    }
    if (task.state === 'refused') throw Problem.from(task.problem, task.problem?.status ?? 422);
    if (task.state === 'cancelled') throw new Problem(0, 'task.cancelled', 'Stopped. Nothing of it was done.');
    return task;
}
