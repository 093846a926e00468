import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';

/** Gradients. */
export const fills: Step = {
  id: 'fills',
  name: 'Fills',
  move: 'Decide',
  load: () => import('./FillsStep'),
  places: (site) =>
    thingsOf(site, 'gradient').map((thing) => ({
      name: thing.name,
      where: 'Gradient',
      step: 'fills',
      params: { view: 'gradients', gradient: thing.id },
    })),
};
