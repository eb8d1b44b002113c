import { useDesk } from '../store';

/** The classes of what can be clicked over a drawing; while something goes on (a unit in hand, say) a click is the drawing’s. */
export const useClickable = () => useDesk((s) => (s.mode.is === 'nothing' ? 'pointer-events-auto cursor-pointer' : ''));
