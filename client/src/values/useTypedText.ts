import { useEffect } from 'react';
import type { Edit } from '../api/client';
import { useActions, useEditing, useEditingStore } from '../site/editingContext';
import { textOf } from '../site/typing';

interface Options {
  /** What it is typed into, in a designer's words. */
  name: string;
  /** What is stored. */
  value: string;
  /** The edit for a text. */
  edit: (text: string) => Edit;
  /** Whether it is shown on the stage while it is typed. */
  tries?: boolean;
  /** Whether nothing at all can be meant. */
  canBeEmpty?: boolean;
}

/** Where text for an edit is kept: whatever would be set by it is one place. */
export const placeOf = (edit: (text: string) => Edit): string => JSON.stringify(edit(''));

const CLASH = 'Enter keeps yours, Escape takes theirs.';

/** Text being typed over what is stored: kept from the first letter, tried as it grows, stored once it is left or confirmed, and kept where it is refused. */
export function useTypedText({ name, value, edit, tries = true, canBeEmpty = false }: Options) {
  const { type, storeTyped, keepMine, takeStored, cancelTrial } = useActions();
  const store = useEditingStore();
  const place = placeOf(edit);
  const entry = useEditing((e) => e.typed[place]);
  const waiting = entry && { text: textOf(entry.edit), wrong: entry.wrong };
  const refused = useEditing((e) => (e.refused?.owner === place ? e.refused.said : null));
  const typed = () => store.getState().typed[place];
  const commit = () => {
    const now = typed();
    if (!now) return;
    const text = textOf(now.edit);
    if (text === value || (text.trim() === '' && !canBeEmpty)) takeStored(place);
    // It has been said that somebody else wrote here: confirmed again, it is meant.
    else if (now.wrong?.kind === 'clash') keepMine(place);
    else storeTyped(place);
  };
  useEffect(
    () => () => {
      const left = store.getState().typed[place];
      if (left && !left.left) store.getState().storeTyped(place);
    },
    [store, place],
  );
  const wrong = waiting?.wrong;
  return {
    text: waiting?.text ?? value,
    /** Whether something stands here that is not stored yet. */
    isTyped: waiting !== undefined,
    /** What was answered to it; what could not be stored just now is sent again by itself. */
    problem: !wrong || wrong.kind === 'failed' ? null : wrong.kind === 'clash' ? `${wrong.said} ${CLASH}` : wrong.said,
    /** What is wrong with it as it is being tried. */
    refused,
    type: (next: string) => {
      const empty = next.trim() === '' && !canBeEmpty;
      if (empty) cancelTrial(place);
      type(place, { edit: edit(next), name, tried: tries && !empty });
    },
    commit,
    /** Left without a word: what was typed is meant, but does not stand against somebody else's. */
    leave: () => {
      const wrong = typed()?.wrong;
      if (wrong === null || wrong?.kind === 'failed') commit();
    },
    abandon: () => takeStored(place),
  };
}

export type TypedText = ReturnType<typeof useTypedText>;
