import { createContext, startTransition, useContext, useEffect, useState } from 'react';
import type { Editing, EditingStore } from './editing';

export const EditingContext = createContext<EditingStore | null>(null);

export function useEditingStore(): EditingStore {
  const store = useContext(EditingContext);
  if (!store) throw new Error('No site is open here.');
  return store;
}

/** What can be done to the site. These never change, so nothing is drawn anew because of them. */
export function useActions(): Pick<
  Editing,
  | 'attempt'
  | 'cancelTrial'
  | 'make'
  | 'type'
  | 'storeTyped'
  | 'keepMine'
  | 'takeStored'
  | 'reverse'
  | 'bringBack'
  | 'addFont'
  | 'addPicture'
  | 'replacePicture'
  | 'addClip'
  | 'tell'
  | 'forgetTrouble'
  | 'showBefore'
  | 'connect'
  | 'watch'
> {
  return useEditingStore().getState();
}

/** Reads from the editing of the site at hand. */
export function useEditing<T>(select: (editing: Editing) => T): T {
  return useEditingStore()(select);
}

const AFTER_PAINT = 40;

/**
 * Reads from the editing like {@link useEditing}, but draws a moment later, so that the stage is painted first while the hand moves.
 * @param select must be the same function each time
 */
export function useEditingLater<T>(select: (editing: Editing) => T): T {
  const store = useEditingStore();
  const [value, setValue] = useState(() => select(store.getState()));
  useEffect(() => {
    let timer = 0;
    const take = () => {
      timer = 0;
      startTransition(() => setValue(() => select(store.getState())));
    };
    const unsubscribe = store.subscribe(() => {
      if (timer === 0) timer = window.setTimeout(take, AFTER_PAINT);
    });
    return () => {
      unsubscribe();
      window.clearTimeout(timer);
    };
  }, [store, select]);
  return value;
}
