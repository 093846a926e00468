import { useMemo } from 'react';
import { thingsOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { useColorSteps } from '../site/useColorSteps';

/** What a name in a value is of, to be seen beside it: CSS of a colour or gradient, or the layers of what has some. */
export type NamedFill = { css: string } | { html: string };

/** All colours, gradients, backgrounds and pictures by the names they have in values; in the first scheme. */
export function useNamedFills(): ReadonlyMap<string, NamedFill> {
  const colors = useColorSteps();
  const roles = useEditing((e) => e.site.schemes[0]?.roles);
  const fills = useEditing((e) => e.site.fills);
  const pictures = useEditing((e) => e.site.pictures);
  const gradients = useEditing((e) => thingsOf(e.site, 'gradient'));
  const backgrounds = useEditing((e) => thingsOf(e.site, 'background'));
  return useMemo(
    () =>
      new Map<string, NamedFill>([
        ...colors.flatMap((c) => c.steps).map((step): [string, NamedFill] => [step.name, { css: step.hex }]),
        ...(roles ?? []).map((role): [string, NamedFill] => [role.name, { css: role.hex }]),
        ...gradients.flatMap(({ id, name }) =>
          fills.gradients.filter((g) => g.id === id).map((g): [string, NamedFill] => [name, { css: g.css }]),
        ),
        ...backgrounds.flatMap(({ id, name }) =>
          fills.backgrounds.filter((b) => b.id === id).map((b): [string, NamedFill] => [name, { html: b.html }]),
        ),
        ...pictures.map((picture): [string, NamedFill] => [picture.inValues, { html: picture.html }]),
      ]),
    [colors, roles, fills, pictures, gradients, backgrounds],
  );
}
