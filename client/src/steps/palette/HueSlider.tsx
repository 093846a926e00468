import { useRef } from 'react';
import { useEscape, type Held } from '../../values/useHeld';
import type { Position } from './position';
import './HueSlider.css';

/** The hue alone. What assistive technology sets comes without a press or a key, and is made at once. */
export function HueSlider({ at, held }: { at: Position; held: Held<Position> }) {
  const hand = useRef<'pointer' | 'key' | null>(null);
  const abandoned = useRef(false);
  const letGo = () => {
    hand.current = null;
    held.finish();
    // The browser tells of a change once more when the pointer is let go.
    window.setTimeout(() => {
      abandoned.current = false;
    });
  };
  useEscape(hand, () => {
    abandoned.current = true;
    held.abandon();
  });
  return (
    <input
      type="range"
      className="hue-slider"
      aria-label="Hue"
      min={0}
      max={359}
      step={1}
      value={Math.round(at.h)}
      onFocus={held.begin}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        hand.current = 'pointer';
        held.begin();
      }}
      onKeyDown={(event) => {
        if (/^(Arrow|Page|Home|End)/.test(event.key)) hand.current = 'key';
      }}
      onChange={(event) => {
        if (abandoned.current) return;
        held.hold({ ...at, h: Number(event.target.value) });
        if (hand.current === null) held.finish();
      }}
      onPointerUp={letGo}
      onKeyUp={() => {
        if (hand.current === 'key') letGo();
      }}
      onBlur={letGo}
    />
  );
}
