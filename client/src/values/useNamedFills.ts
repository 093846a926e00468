import { useMemo } from 'react';
import { thingsOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { useColorSteps } from '../site/useColorSteps';

/** What a name in a value is of, to be seen beside it: CSS of a colour or gradient, or the layers of what has some. */
export type NamedFill = { css: string } | { html: string };

/**
 * The colours, gradients, backgrounds and pictures among names that are offered for a value, in the first scheme. What is offered together is offered all or none: a border
 * that is called as a colour is stays a border.
 */
export function useNamedFills(names: readonly string[]): ReadonlyMap<string, NamedFill> {
  const offers = useEditing((e) => e.site.names);
  const colors = useColorSteps();
  const roles = useEditing((e) => e.site.schemes[0]?.roles);
  const fills = useEditing((e) => e.site.fills);
  const pictures = useEditing((e) => e.site.pictures);
  const gradients = useEditing((e) => thingsOf(e.site, 'gradient'));
  const backgrounds = useEditing((e) => thingsOf(e.site, 'background'));
  const seen = useMemo((): Record<string, ReadonlyMap<string, NamedFill>> => {
    const layers = new Map(backgrounds.flatMap(({ id, name }) => fills.backgrounds.filter((b) => b.id === id).map((b) => [name, b])));
    return {
      color: new Map(colors.flatMap((c) => c.steps).map((step) => [step.name, { css: step.hex }])),
      role: new Map((roles ?? []).map((role) => [role.name, { css: role.hex }])),
      gradient: new Map(gradients.flatMap(({ id, name }) => fills.gradients.filter((g) => g.id === id).map((g) => [name, { css: g.css }]))),
      background: layers,
      'background layers': layers,
      picture: new Map(pictures.map((picture) => [picture.inValues, { html: picture.html }])),
    };
  }, [colors, roles, fills, pictures, gradients, backgrounds]);
  return useMemo(() => {
    const offered = new Set(names);
    return new Map(
      Object.entries(seen).flatMap(([kind, known]) => {
        const all = offers[kind] ?? [];
        if (!all.every((name) => offered.has(name))) return [];
        return all.flatMap((name) => {
          const fill = known.get(name);
          return fill ? [[name, fill] as const] : [];
        });
      }),
    );
  }, [names, offers, seen]);
}
