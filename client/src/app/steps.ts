export type StepId = 'palette' | 'parts' | 'overrides' | 'snapshots';

export interface Step {
  id: StepId;
  name: string;
}

/** The steps in working order. Only what is built is listed. */
export const COURSE: { move: string; steps: Step[] }[] = [
  { move: 'Decide', steps: [{ id: 'palette', name: 'Palette' }] },
  { move: 'Apply', steps: [{ id: 'parts', name: 'Parts' }] },
  {
    move: 'Hold',
    steps: [
      { id: 'overrides', name: 'Overrides' },
      { id: 'snapshots', name: 'Snapshots' },
    ],
  },
];
