export type StepId = 'palette' | 'type' | 'frame' | 'parts' | 'overrides' | 'snapshots';

export interface Step {
  id: StepId;
  name: string;
}

/** The steps in working order. Only what is built is listed. */
export const COURSE: { move: string; steps: Step[] }[] = [
  {
    move: 'Decide',
    steps: [
      { id: 'palette', name: 'Palette' },
      { id: 'type', name: 'Type' },
    ],
  },
  {
    move: 'Apply',
    steps: [
      { id: 'frame', name: 'Frame' },
      { id: 'parts', name: 'Parts' },
    ],
  },
  {
    move: 'Hold',
    steps: [
      { id: 'overrides', name: 'Overrides' },
      { id: 'snapshots', name: 'Snapshots' },
    ],
  },
];
