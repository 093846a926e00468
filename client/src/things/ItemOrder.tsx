import type { Edit } from '../api/client';
import { Order } from './Order';

interface Props {
  /** Where it stands: code of the kind, and the thing. */
  at: { of: string; in: string };
  id: string;
  /** What is moved, for screen readers. */
  called: string;
  place: number;
  count: number;
  /** How many must stay. */
  fewest: number;
  change: (edit: Edit) => void;
  /** Gives the focus to where work goes on. */
  focusNext: (selector: string, place?: number) => void;
}

/** Moves an item within its thing, or takes it out: then the next one has the focus. */
export function ItemOrder({ at, id, called, place, count, fewest, change, focusNext }: Props) {
  return (
    <Order
      called={called}
      place={place}
      count={count}
      fewest={fewest}
      onMove={(to) => change({ kind: 'moveThing', ...at, id, to })}
      onRemove={() => {
        focusNext('td.order button:last-child, .below-rows button', place);
        change({ kind: 'removeThing', ...at, id, by: null });
      }}
    />
  );
}
