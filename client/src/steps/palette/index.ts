import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';

/** Colours, their tints and shades, and what they are for. */
export const palette: Step = {
  id: 'palette',
  name: 'Palette',
  move: 'Decide',
  load: () => import('./PaletteStep'),
  places: (site) => [
    ...thingsOf(site, 'color').map((color) => ({
      name: color.name,
      where: 'Colour',
      step: 'palette',
      params: { view: 'colours', color: color.id },
    })),
    ...site.schemes.flatMap((scheme) => {
      const params = { view: 'schemes', scheme: scheme.id };
      return [
        { name: scheme.name, where: 'Scheme', step: 'palette', params },
        ...scheme.roles.map((role) => ({ name: role.name, where: `Role · ${scheme.name}`, step: 'palette', params })),
      ];
    }),
  ],
};
