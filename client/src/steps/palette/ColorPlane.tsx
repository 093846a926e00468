import { useQuery } from '@tanstack/react-query';
import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { answered, api } from '../../api/client';
import { useDrag, type Held } from '../../values/useHeld';
import type { Position } from './position';
import './ColorPlane.css';

/** The chroma at the right edge. */
const WIDEST = 0.33;

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
  held: Held<Position>;
}

/** Chroma across, lightness up, at one hue; what sRGB cannot show is left out. */
export function ColorPlane({ at, hue, hex, held }: Props) {
  const plane = useQuery({
    queryKey: ['plane', hue],
    queryFn: () => answered(api.GET('/api/colors/plane', { params: { query: { hue } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const outline = plane.data?.chroma ?? NONE;
  const box = useRef<HTMLDivElement>(null);

  const most = (l: number) => outline[Math.round((1 - l) * (outline.length - 1))] ?? WIDEST;
  const kept = (l: number, c: number): Position => {
    const lightness = Math.min(1, Math.max(0, l));
    return { l: lightness, c: Math.min(Math.max(0, c), most(lightness)), h: at.h };
  };
  const under = (event: PointerEvent): Position => {
    const area = (box.current as HTMLDivElement).getBoundingClientRect();
    return kept(1 - (event.clientY - area.top) / area.height, ((event.clientX - area.left) / area.width) * WIDEST);
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
      <PlaneRows outline={outline} hue={hue} />
      <span className="plane-mark" style={{ left: `${(at.c / WIDEST) * 100}%`, top: `${(1 - at.l) * 100}%`, background: hex }} />
    </div>
  );
}

/** The colours of the plane, drawn anew only for another hue: while the slider moves they stand still. */
const PlaneRows = memo(function PlaneRows({ outline, hue }: { outline: readonly number[]; hue: number }) {
  return outline.map((chroma, row) => {
    const l = 1 - row / (outline.length - 1);
    return (
      <span
        key={row}
        className="plane-row"
        style={{
          width: `${(chroma / WIDEST) * 100}%`,
          background: `linear-gradient(to right in oklab, oklch(${l} 0 ${hue}), oklch(${l} ${chroma} ${hue}))`,
        }}
      />
    );
  });
});
