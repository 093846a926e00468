import { useCallback, useEffect, useRef, useState, type PointerEvent } from 'react';
import type { Edit } from '../api/client';
import { useTrial } from '../site/useTrial';
import { newGesture } from '../site/window';

export interface Held<T> {
  /** What the hand holds, or has let go of and is not answered yet; null where there is nothing. */
  value: T | null;
  /** A new gesture begins. */
  begin: () => void;
  /** The hand has come to a value: the stage follows. */
  hold: (value: T) => void;
  /** The hand lets go: the edit is made. Resolves to what is wrong with it. */
  letGo: (value: T) => Promise<string | null>;
  /** Lets go of what is held, where something is: a press without a move is none. */
  finish: () => void;
  /** What is stored comes back. */
  abandon: () => void;
}

/**
 * A value in the hand: tried while it moves, made when it is let go, one gesture from beginning to end.
 * @param saidAtItsPlace whether what is wrong with it is shown where the value stands
 */
export function useHeld<T>(edit: (value: T) => Edit, saidAtItsPlace = false): Held<T> {
  const { attempt, cancelTrial, make } = useTrial();
  const [value, setValue] = useState<T | null>(null);
  const gesture = useRef(newGesture());
  // What is held just now, and whether it is still in the hand: steps may come faster than answers.
  const now = useRef<{ value: T; inHand: boolean } | null>(null);
  const letGo = async (next: T) => {
    const mine = { value: next, inHand: false };
    now.current = mine;
    setValue(next);
    const wrong = await make(edit(next), { gesture: gesture.current, saidAtItsPlace });
    if (now.current === mine) {
      now.current = null;
      setValue(null);
    }
    return wrong;
  };
  return {
    value,
    begin: useCallback(() => {
      gesture.current = newGesture();
    }, []),
    hold: (next) => {
      now.current = { value: next, inHand: true };
      setValue(next);
      attempt(edit(next));
    },
    letGo,
    finish: () => {
      if (now.current?.inHand) void letGo(now.current.value);
    },
    abandon: () => {
      now.current = null;
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

/** Dragging with the main button: a press alone changes nothing, and what was abandoned on the way, by Escape wherever the focus is, is not made. */
export function useDrag<T>({ held, at, isUnchanged, onProblem }: Drag<T>) {
  const start = useRef<PointerEvent<HTMLElement> | null>(null);
  const moved = useRef(false);
  const abandon = () => {
    if (start.current === null) return;
    start.current = null;
    held.abandon();
  };
  useEscape(start, abandon);
  return {
    /** Whether the click that comes now ends a drag. */
    wasDragged: () => {
      const was = moved.current;
      moved.current = false;
      return was;
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
      onPointerCancel: abandon,
    },
  };
}

/** Calls back for Escape, whatever has the focus, while something is in the hand. */
export function useEscape(inHand: { readonly current: unknown }, onEscape: () => void): void {
  const latest = useRef(onEscape);
  useEffect(() => {
    latest.current = onEscape;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !inHand.current) return;
      event.preventDefault();
      event.stopPropagation();
      latest.current();
    };
    window.addEventListener('keydown', onKeyDown, true);
    return () => window.removeEventListener('keydown', onKeyDown, true);
  }, [inHand]);
}
