import type { ColorView, ThingView } from '../../api/client';
import { groupBy } from '../../ui/groupBy';

export interface ListedColor {
  thing: ThingView;
  stored: ColorView;
}

/** What the list can be narrowed to. */
export const FILTERS = [
  { value: 'all', label: 'All colours' },
  { value: 'unused', label: 'Unused' },
  { value: 'failing', label: 'Failing' },
  { value: 'alike', label: 'Alike' },
  { value: 'computed', label: 'Computed' },
  { value: 'wide', label: 'Outside sRGB' },
] as const;

export type Filter = (typeof FILTERS)[number]['value'];

/** What the list is narrowed by that is computed apart from it: ids of colours. */
export interface Found {
  failing: ReadonlySet<string>;
  alike: ReadonlySet<string>;
}

const KEPT: Record<Filter, (listed: ListedColor, found: Found) => boolean> = {
  all: () => true,
  failing: ({ thing }, { failing }) => failing.has(thing.id),
  alike: ({ thing }, { alike }) => alike.has(thing.id),
  unused: ({ thing }) => thing.uses.length === 0,
  computed: ({ stored }) => stored.computed !== null,
  wide: ({ stored }) => !stored.inSrgb,
};

/** The colours that a search and a filter leave: by name, value or group. */
export function narrowed(colors: readonly ListedColor[], wanted: string, filter: Filter, found: Found): readonly ListedColor[] {
  const text = wanted.trim().toLowerCase();
  const holds = (of: string) => of.toLowerCase().includes(text);
  return colors.filter(
    (c) => KEPT[filter](c, found) && (text === '' || [c.thing.name, c.stored.css, c.stored.hex, c.stored.group].some(holds)),
  );
}

/** The colours by group, in the order in which groups first come up; those of none stand under an empty name. */
export function grouped(colors: readonly ListedColor[]): readonly { group: string; colors: readonly ListedColor[] }[] {
  return [...groupBy(colors, (c) => c.stored.group)].map(([group, of]) => ({ group, colors: of }));
}

/**
 * Where a colour comes to that is moved by key: before which other, and into which group.
 * @param by -1 up, 1 down; among the colours as they are listed, by group
 * @returns null where there is no further place
 */
export function movedBy(colors: readonly ListedColor[], id: string, by: -1 | 1): { before: string | null; group: string } | null {
  const listed = grouped(colors).flatMap((g) => g.colors);
  const at = listed.findIndex((c) => c.thing.id === id);
  const [here, beside] = [listed[at], listed[at + by]];
  if (!here || !beside) return null;
  // Over the edge of a group it comes into the next one first, at its near end.
  if (here.stored.group !== beside.stored.group)
    return { before: by < 0 ? (listed[at + 1]?.thing.id ?? null) : beside.thing.id, group: beside.stored.group };
  return { before: by < 0 ? beside.thing.id : (listed[at + 2]?.thing.id ?? null), group: here.stored.group };
}
