import { useCallback, useEffect, useRef, type RefObject } from 'react';

/**
 * Gives the focus to where work goes on, once what was done is drawn.
 * @param after what changes when it is: an id, a length
 * @returns the place to look in, and what is wanted there next, as a selector; of several matches one by its number, or the last
 */
export function useFocusNext<T extends HTMLElement>(after: unknown): [RefObject<T | null>, (selector: string, at?: number) => void] {
  const place = useRef<T>(null);
  const wanted = useRef<{ selector: string; at: number } | null>(null);
  const go = useCallback(() => {
    if (!wanted.current) return;
    const { selector, at } = wanted.current;
    wanted.current = null;
    const found = [...(place.current?.querySelectorAll<HTMLElement>(selector) ?? [])];
    (found[at] ?? found.at(-1))?.focus();
  }, []);
  useEffect(go, [go, after]);
  return [
    place,
    (selector, at = 0) => {
      wanted.current = { selector, at };
      // It may be drawn already, and what had the focus gone with it.
      window.setTimeout(() => {
        if (document.activeElement === document.body) go();
      });
    },
  ];
}
