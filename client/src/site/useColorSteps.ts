import { useMemo } from 'react';
import { thingsOf } from './catalogue';
import { useEditing } from './editingContext';

export interface ColorWithSteps {
  id: string;
  name: string;
  /** Lightest first. */
  steps: readonly { name: string; hex: string }[];
}

/** The colours with their steps by name. */
export function useColorSteps(): readonly ColorWithSteps[] {
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const colors = useEditing((e) => e.site.colors);
  return useMemo(
    () =>
      things.map(({ id, name }) => {
        const color = colors.find((c) => c.id === id);
        const tints = (color?.tints ?? []).map((hex, i) => ({ name: `${name} tint ${i + 1}`, hex }));
        const shades = (color?.shades ?? []).map((hex, i) => ({ name: `${name} shade ${i + 1}`, hex }));
        return { id, name, steps: [...tints.reverse(), { name, hex: color?.hex ?? '' }, ...shades] };
      }),
    [things, colors],
  );
}
