import { useRef } from 'react';
import { useEscape, type Held } from './useHeld';
import './HeldSlider.css';

interface Props<T> {
  label: string;
  min: number;
  max: number;
  step?: number;
  value: number;
  /** As it is read out; null where the number says it. */
  said?: string | undefined;
  className?: string;
  held: Held<T>;
  /** What the hand holds at a number. */
  at: (value: number) => T;
}

/** A number by its place on a line. What assistive technology sets comes without a press or a key, and is made at once. */
export function HeldSlider<T>({ label, min, max, step = 1, value, said, className = '', held, at }: Props<T>) {
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
      className={`held-slider ${className}`}
      aria-label={label}
      aria-valuetext={said}
      min={min}
      max={max}
      step={step}
      value={value}
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
        held.hold(at(Number(event.target.value)));
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
