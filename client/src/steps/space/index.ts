import { thingsOf } from '../../site/catalogue';
import type { Step } from '../../site/step';

/** The spacing scale, the space of pages and around text, and the paper. */
export const space: Step = {
  id: 'space',
  name: 'Space',
  move: 'Decide',
  load: () => import('./SpaceStep'),
  places: (site) => [
    ...thingsOf(site, 'space').map((thing) => ({
      name: thing.name,
      where: 'Space',
      step: 'space',
      params: { view: 'scale', space: thing.id },
    })),
    ...site.space.measures.map((measure) => ({ name: measure.name, where: 'Space', step: 'space', params: { view: 'page' } })),
    { name: 'Paper', where: 'Space', step: 'space', params: { view: 'paper' } },
    { name: 'Space around text', where: 'Space', step: 'space', params: { view: 'text' } },
  ],
};
