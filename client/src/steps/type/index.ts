import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';

/** Families, the sizes there are, and the text styles made of both. */
export const type: Step = {
  id: 'type',
  name: 'Type',
  move: 'Decide',
  load: () => import('./TypeStep'),
  places: (site) => [
    ...thingsOf(site, 'textStyle').map((style) => ({
      name: style.name,
      where: 'Text style',
      step: 'type',
      params: { view: 'styles', style: style.id },
    })),
    ...thingsOf(site, 'family').map((family) => ({
      name: family.name,
      where: 'Family',
      step: 'type',
      params: { view: 'families', family: family.id },
    })),
  ],
};
