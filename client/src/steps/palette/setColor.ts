import type { Edit } from '../../api/client';

/** Gives a colour another value, as typed. */
export const setColor = (id: string, text: string): Edit => ({ kind: 'setThing', of: 'color', id, field: 'color', text, in: null });
