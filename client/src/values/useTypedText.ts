import { useRef, useState } from 'react';
import type { Edit } from '../api/client';
import { useActions, useEditingStore } from '../site/editingContext';
import { newGesture } from '../site/window';

interface Typed {
  /** What is stored. */
  value: string;
  /** What it begins with where that is not what is stored. */
  start?: string;
  /** The edit for a text. */
  edit: (text: string) => Edit;
  /** Whether it is shown on the stage while it is typed. */
  tries?: boolean;
  /** Whether nothing at all can be meant. */
  canBeEmpty?: boolean;
  onDone?: () => void;
}

/** Text being typed over what is stored: tried as it grows, made once it is left or confirmed, and kept where it is refused. */
export function useTypedText({ value, start, edit, tries = true, canBeEmpty = false, onDone }: Typed) {
  const { attempt, cancelTrial, make } = useActions();
  const store = useEditingStore();
  // What was at hand when typing began: what others have made of it since is not typed over unseen.
  const madeOn = useRef<number | undefined>(undefined);
  const [typed, setTyped] = useState<string | null>(start ?? null);
  const [problem, setProblem] = useState<string | null>(null);
  const gesture = useRef(newGesture());
  const done = useRef(false);
  const finish = () => {
    setTyped(null);
    setProblem(null);
    madeOn.current = undefined;
    done.current = true;
    onDone?.();
  };
  const abandon = () => {
    if (tries) cancelTrial();
    finish();
  };
  return {
    text: typed ?? value,
    problem,
    type: (next: string) => {
      done.current = false;
      madeOn.current ??= store.getState().site.version;
      setTyped(next);
      setProblem(null);
      if (!tries) return;
      if (next.trim() === '' && !canBeEmpty) cancelTrial();
      else attempt(edit(next));
    },
    commit: async (next: string | null = typed) => {
      if (next === null || (done.current && onDone)) return;
      if (next === value || (next.trim() === '' && !canBeEmpty)) {
        abandon();
        return;
      }
      const wrong = await make(edit(next), gesture.current, madeOn.current ?? store.getState().site.version);
      if (wrong === null) {
        finish();
      } else {
        setProblem(wrong);
        // It has been said: made again, it is meant.
        madeOn.current = store.getState().site.version;
      }
      gesture.current = newGesture();
    },
    abandon,
  };
}
