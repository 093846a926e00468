import type { Step } from '../../site/step';

/** CSS of the designer's own. */
export const overrides: Step = {
  id: 'overrides',
  name: 'Overrides',
  move: 'Hold',
  load: () => import('./OverridesStep'),
  places: () => [],
};
