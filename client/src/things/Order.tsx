interface Props {
  /** What is moved, for screen readers. */
  called: string;
  place: number;
  count: number;
  /** How many must stay. */
  fewest?: number;
  onMove: (to: number) => void;
  /** Null where it is taken out elsewhere. */
  onRemove: (() => void) | null;
}

/** Moves one of a list up and down, or takes it out. What cannot be done just now keeps the focus: it may be possible after the next press. */
export function Order({ called, place, count, fewest = 0, onMove, onRemove }: Props) {
  return (
    <>
      <OrderButton label={`Move ${called} up`} sign="↑" disabled={place === 0} onClick={() => onMove(place - 1)} />
      <OrderButton label={`Move ${called} down`} sign="↓" disabled={place === count - 1} onClick={() => onMove(place + 1)} />
      {onRemove && <OrderButton label={`Remove ${called}`} sign="×" disabled={count <= fewest} onClick={onRemove} />}
    </>
  );
}

function OrderButton({ label, sign, disabled, onClick }: { label: string; sign: string; disabled: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      className="small-button"
      aria-label={label}
      aria-disabled={disabled}
      onClick={() => {
        if (!disabled) onClick();
      }}
    >
      {sign}
    </button>
  );
}
