import { useRef, useState, type PointerEvent, type RefObject } from 'react';
import { useEscape } from '../../values/useHeld';

/** Rows of a table dragged to another place: where one would come is marked, Escape gives it up, a press without a move changes nothing. */
export function useRowDrag(body: RefObject<HTMLElement | null>, onMove: (from: number, to: number) => void) {
  const held = useRef<number | null>(null);
  const [hand, setHand] = useState<{ from: number; to: number } | null>(null);
  const letGo = () => {
    held.current = null;
    setHand(null);
  };
  useEscape(held, letGo);
  /** The place a row would come to that is held at a height: past the middle of another it takes its place. */
  const placeAt = (y: number, from: number): number => {
    const rows = [...(body.current?.children ?? [])].map((row) => row.getBoundingClientRect());
    const before = rows.filter((row, place) => place !== from && y > row.top + row.height / 2).length;
    return Math.min(before, rows.length - 1);
  };
  return {
    classOf: (place: number): string =>
      hand === null ? '' : place === hand.from ? 'in-hand' : place === hand.to ? (hand.to < hand.from ? 'comes-above' : 'comes-below') : '',
    handlersOf: (place: number) => ({
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button !== 0) return;
        held.current = place;
        event.currentTarget.setPointerCapture(event.pointerId);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        if (held.current === null) return;
        const to = placeAt(event.clientY, place);
        setHand(to === place ? null : { from: place, to });
      },
      onPointerUp: () => {
        const moved = held.current === null ? null : hand;
        letGo();
        if (moved) onMove(moved.from, moved.to);
      },
      onPointerCancel: letGo,
    }),
  };
}
