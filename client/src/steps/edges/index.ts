import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';
import { LISTS } from './views';

/** Borders, radii and shadows, and motion: durations and easings. */
export const edges: Step = {
  id: 'edges',
  name: 'Edges',
  move: 'Decide',
  load: () => import('./EdgesStep'),
  places: (site) =>
    LISTS.flatMap(({ value, kind, one }) =>
      thingsOf(site, kind).map((thing) => ({ name: thing.name, where: one, step: 'edges', params: { view: value, [kind]: thing.id } })),
    ),
};
