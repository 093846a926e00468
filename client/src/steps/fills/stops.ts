import type { Edit, ThingView } from '../../api/client';
import { fieldOf } from '../../site/catalogue';

/** Steps of the line at which its colours are known. */
const STEPS = 100;

/** A field of a stop, as a number. */
export const amount = (item: { fields: ThingView['fields'] } | undefined, field: string): number =>
  Number.parseFloat(fieldOf(item, field)) || 0;

/** A place on the line as it is typed: tenths are as fine as a hand is. */
export const rounded = (place: number): number => Math.round(place * 10) / 10;

export const setStop = (gradient: string, stop: string, field: string, value: number): Edit => ({
  kind: 'setThing',
  of: 'gradient',
  id: stop,
  field,
  text: `${value}%`,
  in: gradient,
});

/** A stop where there was none, of the colour that is there already: nothing is seen to change. */
export function stopAt(thing: ThingView, along: readonly string[], place: number, id: string): Edit {
  const items = thing.items ?? [];
  const before = items.filter((item) => amount(item, 'position') <= place).at(-1) ?? items[0];
  const at = Math.max(0, Math.min(STEPS, Math.round(place)));
  return {
    kind: 'addThing',
    of: 'gradient',
    id,
    name: null,
    like: before?.id ?? null,
    values: { color: along[at] ?? fieldOf(before, 'color'), position: `${rounded(place)}%`, alpha: '100%', middle: '50%' },
    in: thing.id,
  };
}
