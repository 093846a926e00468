import type { Held } from '../../values/useHeld';
import type { Position } from './position';
import './HueSlider.css';

/** The hue alone. */
export function HueSlider({ at, held }: { at: Position; held: Held<Position> }) {
  return (
    <input
      type="range"
      className="hue-slider"
      aria-label="Hue"
      min={0}
      max={359}
      step={1}
      value={Math.round(at.h)}
      onPointerDown={held.begin}
      onFocus={held.begin}
      onChange={(event) => held.hold({ ...at, h: Number(event.target.value) })}
      onPointerUp={(event) => {
        // A press that has not moved it changes nothing.
        if (held.value !== null) void held.letGo({ ...at, h: Number(event.currentTarget.value) });
      }}
      onKeyUp={(event) => {
        if (event.key === 'Escape') held.abandon();
        else if (/^(Arrow|Page|Home|End)/.test(event.key) && held.value !== null)
          void held.letGo({ ...at, h: Number(event.currentTarget.value) });
      }}
    />
  );
}
