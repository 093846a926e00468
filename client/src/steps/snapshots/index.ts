import type { Step } from '../../site/step';

/** Named states of the whole site, and what has been done to it. */
export const snapshots: Step = {
  id: 'snapshots',
  name: 'Snapshots',
  move: 'Hold',
  load: () => import('./SnapshotsStep'),
  places: () => [],
};
