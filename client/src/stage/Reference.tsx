import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useEditedValue } from '../values/editedValue';
import { colorAt, lengthBetween, useReference } from './reference';
import { useFollowed } from './useFollowed';
import './Reference.css';

interface Props {
  page: Document;
  width: number;
  scale: number;
}

interface Point {
  x: number;
  y: number;
}

const originOf = (root: HTMLElement) => root.getBoundingClientRect();

/** The reference picture over the page, scrolling with it; and the hand that takes colours and lengths from it. */
export function Reference({ page, width, scale }: Props) {
  const { picture, x, y, width: wide, opacity, differs, taking } = useReference();
  const origin = useFollowed(page.documentElement, originOf);
  if (!picture) return null;
  const per = picture.pixels.width / wide;
  return (
    <>
      <img
        className="reference-picture"
        src={picture.address}
        alt=""
        style={{
          left: (origin.left + x) * scale,
          top: (origin.top + y) * scale,
          width: wide * scale,
          opacity: opacity / 100,
          mixBlendMode: differs ? 'difference' : 'normal',
        }}
      />
      {taking && (
        <Hand
          key={taking}
          width={width}
          scale={scale}
          taking={taking}
          colour={(at) => colorAt(picture.pixels, (at.x - origin.left - x) * per, (at.y - origin.top - y) * per)}
        />
      )}
    </>
  );
}

interface HandProps {
  width: number;
  scale: number;
  taking: 'colour' | 'length' | 'radius';
  /** The picture's colour at a point of the window. */
  colour: (at: Point) => string | null;
}

/** Arrow keys move the cross by one pixel, with Shift by ten. */
const STEPS: Record<string, Point> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

function Hand({ width, scale, taking, colour }: HandProps) {
  const set = useReference((r) => r.set);
  const put = useEditedValue((e) => e.put);
  const [at, setAt] = useState<Point>({ x: Math.round(width / 2), y: 200 });
  const [from, setFrom] = useState<Point | null>(null);
  const pointAt = (event: PointerEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: Math.round((event.clientX - box.left) / scale), y: Math.round((event.clientY - box.top) / scale) };
  };
  const take = (text: string | null) => {
    setFrom(null);
    if (text === null) return;
    set({ taken: text });
    put?.(text);
    // For where no value is open. A browser may refuse it.
    void navigator.clipboard?.writeText(text).catch(() => undefined);
  };
  const begin = (point: Point) => {
    if (taking === 'colour') take(colour(point));
    else setFrom(point);
  };
  const finish = (start: Point, end: Point) => {
    if (taking !== 'colour' && (start.x !== end.x || start.y !== end.y)) take(lengthBetween(taking, start, end));
    else setFrom(null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step) {
      const by = event.shiftKey ? 10 : 1;
      setAt((p) => ({ x: p.x + step.x * by, y: p.y + step.y * by }));
    } else if (event.key === 'Enter' || event.key === ' ') {
      if (from) finish(from, at);
      else begin(at);
    } else if (event.key === 'Escape') {
      if (from) setFrom(null);
      else set({ taking: null });
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const measured = from && taking !== 'colour' ? lengthBetween(taking, from, at) : null;
  const seen = taking === 'colour' ? colour(at) : null;
  return (
    // A surface of its own keys, as a drawing is: what they do stands in its label.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div
      className="reference-hand"
      role="application"
      aria-label={
        taking === 'colour'
          ? 'Takes a colour from the reference picture: arrow keys move, Enter takes'
          : 'Measures in the reference picture: arrow keys move, Enter begins and ends'
      }
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        // What is being typed keeps the focus: what is taken goes into it.
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        const point = pointAt(event);
        setAt(point);
        begin(point);
      }}
      onPointerMove={(event) => setAt(pointAt(event))}
      onPointerUp={(event) => from && finish(from, pointAt(event))}
      onPointerCancel={() => setFrom(null)}
    >
      <span className="reference-cross" style={{ left: at.x * scale, top: at.y * scale }} />
      {from && (
        <span
          className="reference-span"
          style={{
            left: Math.min(from.x, at.x) * scale,
            top: Math.min(from.y, at.y) * scale,
            width: Math.abs(at.x - from.x) * scale,
            height: Math.abs(at.y - from.y) * scale,
          }}
        />
      )}
      <span className="reference-says" style={{ left: at.x * scale, top: at.y * scale }}>
        {seen && <span className="swatch" style={{ background: seen }} />}{' '}
        {measured ?? seen ?? (taking === 'colour' ? 'nothing there' : `${at.x}, ${at.y}`)}
      </span>
    </div>
  );
}
