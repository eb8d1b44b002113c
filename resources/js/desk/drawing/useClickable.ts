import { useDesk } from '../store';

/**
 * The classes of what can be clicked over a drawing. While something goes on (a unit in hand, say), or a sheet is told its targets by
 * clicks, a click is the drawing's.
 */
export const useClickable = () =>
    useDesk((s) => (s.mode.is === 'nothing' && s.sheet !== 'carry' && s.sheet !== 'copy' ? 'pointer-events-auto cursor-pointer' : ''));
