import type { Step } from '../../site/step';

/** The pages: what stands on them, and in which order. */
export const pages: Step = {
  id: 'pages',
  name: 'Pages',
  move: 'Apply',
  load: () => import('./PagesStep'),
  // Pages themselves are found whatever the step.
  places: () => [],
};
