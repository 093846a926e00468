import { useQuery } from '@tanstack/react-query';
import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { answered, api, type Schemas } from '../../api/client';
import { useDrag, type Held } from '../../values/useHeld';
import type { Position } from './position';
import './ColorPlane.css';

const NONE: readonly number[] = [];

/** Lightness and chroma for one key press; those at the ends lead as far as there is colour. */
const MOVES: Record<string, [number, number]> = {
  ArrowUp: [0.01, 0],
  ArrowDown: [-0.01, 0],
  PageUp: [0.1, 0],
  PageDown: [-0.1, 0],
  ArrowRight: [0, 0.005],
  ArrowLeft: [0, -0.005],
  Home: [0, -1],
  End: [0, 1],
};

interface Props {
  at: Position;
  /** The hue the plane is of. */
  hue: number;
  /** The colour of the mark. */
  hex: string;
  /** The ground that lines of contrast are drawn against; empty for none. */
  ground: string;
  /** Where the tints and shades lie. */
  marks: Schemas['ColorView']['marks'];
  held: Held<Position>;
}

/** Chroma across, lightness up, at one hue, with the edges of sRGB and Display P3, and where contrast against a ground crosses 3, 4.5 and 7. */
export function ColorPlane({ at, hue, hex, ground, marks, held }: Props) {
  const plane = useQuery({
    queryKey: ['plane', hue, ground],
    queryFn: () => answered(api.GET('/api/colors/plane', { params: { query: ground === '' ? { hue } : { hue, ground } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const outline = plane.data?.srgb ?? NONE;
  const widest = plane.data?.widest ?? 0.37;
  const box = useRef<HTMLDivElement>(null);

  const most = (l: number) => outline[Math.round((1 - l) * (outline.length - 1))] ?? widest;
  const kept = (l: number, c: number): Position => {
    const lightness = Math.min(1, Math.max(0, l));
    return { l: lightness, c: Math.min(Math.max(0, c), most(lightness)), h: at.h };
  };
  const under = (event: PointerEvent): Position => {
    const area = (box.current as HTMLDivElement).getBoundingClientRect();
    return kept(1 - (event.clientY - area.top) / area.height, ((event.clientX - area.left) / area.width) * widest);
  };
  const drag = useDrag({ held, at: under });
  const onKeyDown = (event: KeyboardEvent) => {
    const move = MOVES[event.key];
    if (!move) return;
    event.preventDefault();
    const pace = event.shiftKey ? 10 : 1;
    held.hold(kept(at.l + move[0] * pace, at.c + move[1] * pace));
  };

  return (
    <div
      ref={box}
      className="plane"
      role="slider"
      tabIndex={0}
      aria-label="Lightness and chroma"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(at.l * 100)}
      aria-valuetext={`lightness ${Math.round(at.l * 100)}, chroma ${Math.round(at.c * 100)}`}
      onKeyDown={onKeyDown}
      onKeyUp={held.finish}
      onFocus={held.begin}
      onBlur={held.finish}
      {...drag.handlers}
    >
      {plane.data && <PlaneDrawing plane={plane.data} />}
      {plane.data?.lines.map(({ target, points }, i) => {
        const end = points.at(-1);
        return (
          end && (
            <span
              key={i}
              className="contrast-name"
              style={{ left: `${(end.chroma / widest) * 100}%`, top: `${(1 - end.lightness) * 100}%` }}
            >
              {target}
            </span>
          )
        );
      })}
      {marks.map((mark, i) => (
        <span key={i} className="step-mark" style={{ left: `${(mark.chroma / widest) * 100}%`, top: `${(1 - mark.lightness) * 100}%` }} />
      ))}
      <span className="plane-mark" style={{ left: `${(at.c / widest) * 100}%`, top: `${(1 - at.l) * 100}%`, background: hex }} />
    </div>
  );
}

/** A line on the plane: where sRGB or Display P3 ends. */
const edge = (chroma: readonly number[], widest: number): string =>
  chroma.map((c, row) => `${(c / widest) * 100},${(row / (chroma.length - 1)) * 100}`).join(' ');

/** The plane itself, drawn anew only for another hue or ground: while the slider moves it stands still. */
const PlaneDrawing = memo(function PlaneDrawing({ plane }: { plane: Schemas['PlaneView'] }) {
  return (
    <svg className="plane-lines" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
      <image href={`/api/colors/plane/${Math.round(plane.hue) % 360}.png`} width="100" height="100" preserveAspectRatio="none" />
      <polyline className="p3-edge" points={edge(plane.p3, plane.widest)} />
      <polyline className="srgb-edge" points={edge(plane.srgb, plane.widest)} />
      {plane.lines.map(({ target, points }, i) => (
        <polyline
          key={i}
          className="contrast-line"
          points={points.map((p) => `${(p.chroma / plane.widest) * 100},${(1 - p.lightness) * 100}`).join(' ')}
        >
          <title>{`Contrast ${target}`}</title>
        </polyline>
      ))}
    </svg>
  );
});
