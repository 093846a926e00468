import { createContext, useContext } from 'react';
import type { Editing, EditingStore } from '../api/editing';

export const EditingContext = createContext<EditingStore | null>(null);

/** Reads from the editing of the site at hand. */
export function useEditing<T>(select: (editing: Editing) => T): T {
  const store = useContext(EditingContext);
  if (!store) throw new Error('No site is open here.');
  return store(select);
}
