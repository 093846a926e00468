import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';
import { VIEWS } from './views';

/** Gradients and backgrounds. */
export const fills: Step = {
  id: 'fills',
  name: 'Fills',
  move: 'Decide',
  load: () => import('./FillsStep'),
  places: (site) =>
    VIEWS.flatMap(({ value, kind, one }) =>
      thingsOf(site, kind).map((thing) => ({ name: thing.name, where: one, step: 'fills', params: { view: value, [kind]: thing.id } })),
    ),
};
