import { useCallback, useRef, useState, type PointerEvent } from 'react';
import type { Edit } from '../api/client';
import { useActions } from '../site/editingContext';
import { newGesture } from '../site/window';

export interface Held<T> {
  /** What the hand holds just now; null where it holds nothing. */
  value: T | null;
  /** A new gesture begins. */
  begin: () => void;
  /** The hand has come to a value: the stage follows. */
  hold: (value: T) => void;
  /** The hand lets go: the edit is made. Resolves to what is wrong with it. */
  letGo: (value: T) => Promise<string | null>;
  /** What is stored comes back. */
  abandon: () => void;
}

/** A value in the hand: tried while it moves, made when it is let go, one gesture from beginning to end. */
export function useHeld<T>(edit: (value: T) => Edit): Held<T> {
  const { attempt, cancelTrial, make } = useActions();
  const [value, setValue] = useState<T | null>(null);
  const gesture = useRef(newGesture());
  return {
    value,
    begin: useCallback(() => {
      gesture.current = newGesture();
    }, []),
    hold: (next) => {
      setValue(next);
      attempt(edit(next));
    },
    letGo: async (next) => {
      const wrong = await make(edit(next), gesture.current);
      setValue(null);
      return wrong;
    },
    abandon: () => {
      setValue(null);
      cancelTrial();
    },
  };
}

interface Drag<T> {
  held: Held<T>;
  /** What the hand is at; null where there is nothing to hold. */
  at: (event: PointerEvent<HTMLElement>, start: PointerEvent<HTMLElement>) => T | null;
  /** Whether a value is the one it began with: then there is nothing to make. */
  isUnchanged?: (value: T) => boolean;
  onProblem?: (problem: string | null) => void;
}

/** Dragging with the main button: a press alone changes nothing, and what was abandoned on the way is not made. */
export function useDrag<T>({ held, at, isUnchanged, onProblem }: Drag<T>) {
  const start = useRef<PointerEvent<HTMLElement> | null>(null);
  const moved = useRef(false);
  return {
    /** Whether the click that comes now ends a drag. */
    wasDragged: () => {
      const was = moved.current;
      moved.current = false;
      return was;
    },
    abandon: () => {
      start.current = null;
      held.abandon();
    },
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        moved.current = false;
        if (event.button !== 0) return;
        start.current = event;
        held.begin();
        event.currentTarget.setPointerCapture(event.pointerId);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const next = start.current && at(event, start.current);
        if (next === null || next === held.value) return;
        moved.current = true;
        held.hold(next);
      },
      onPointerUp: (event: PointerEvent<HTMLElement>) => {
        const next = start.current && at(event, start.current);
        start.current = null;
        if (!moved.current || next === null) return;
        if (isUnchanged?.(next)) held.abandon();
        else void held.letGo(next).then(onProblem);
      },
      onPointerCancel: () => {
        start.current = null;
        held.abandon();
      },
    },
  };
}
