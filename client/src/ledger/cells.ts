import type { CellView, Edit, LookView, PartView, PropertyView, State } from '../api/client';

/** Widths a value can hold at. */
export interface Widths {
  from: number | null;
  below: number | null;
}

export const ALL_WIDTHS: Widths = { from: null, below: null };

/** The intervals between the breaks, widest first, and all widths. */
export const WIDTH_CHOICES: { value: string; label: string; widths: Widths }[] = [
  { value: 'all', label: 'All widths', widths: ALL_WIDTHS },
  { value: '820', label: 'From 820', widths: { from: 820, below: null } },
  { value: '600', label: '600 to 820', widths: { from: 600, below: 820 } },
  { value: '0', label: 'Below 600', widths: { from: null, below: 600 } },
];

export function findCell(look: LookView, property: string, state: State, widths: Widths): CellView | undefined {
  return look.cells.find(
    (c) => c.property === property && c.state === state && (c.from ?? null) === widths.from && (c.below ?? null) === widths.below,
  );
}

/** What is wrong with the room that a cell leaves around text; of cells that set nothing too. */
export const findSquashed = (look: LookView, property: string, state: State, widths: Widths) =>
  look.squashed.find(
    (s) => s.property === property && s.state === state && (s.from ?? null) === widths.from && (s.below ?? null) === widths.below,
  );

/** The rows there is something to say in: what changes take only where states differ, or where it is said already. */
export const shownProperties = (part: PartView, look: LookView): PropertyView[] =>
  part.properties.filter(
    ({ changeOf, setting }) =>
      changeOf === null || look.cells.some((c) => c.property === setting.id || (c.property === changeOf && c.state !== 'rest')),
  );

/** Whether a value of its own is set at some width. */
export const variesByWidth = (look: LookView, property: string, state: State): boolean =>
  look.cells.some((c) => c.property === property && c.state === state && ((c.from ?? null) !== null || (c.below ?? null) !== null));

/** Whether a state differs from Rest anywhere: if not, its column folds. */
export const differs = (look: LookView, state: State): boolean => look.cells.some((c) => c.state === state);

/** What stands in a cell that sets nothing itself, and from where. */
export function inherited(look: LookView, property: PropertyView, state: State, widths: Widths): string {
  if (widths !== ALL_WIDTHS) {
    const wide = findCell(look, property.setting.id, state, ALL_WIDTHS);
    if (wide) return wide.text;
  }
  return state === 'rest' ? 'not set' : 'as rest';
}

export const STATE_NAMES: Record<State, string> = {
  rest: 'Rest',
  current: 'Current',
  hover: 'Hover',
  focus: 'Focus',
  pressed: 'Pressed',
  off: 'Off',
};

interface Place {
  look: LookView;
  property: PropertyView;
  state: State;
  widths: Widths;
}

/** The edit that sets a value of a look, or of one of its sides or corners. */
export const cellEdit = ({ look, property, state, widths }: Place, text: string | null, side?: number): Edit => ({
  kind: 'setCell',
  look: look.id,
  property: property.setting.id,
  state,
  from: widths.from,
  below: widths.below,
  text,
  ...(side !== undefined && { side }),
});

/** Something about a value, and what to do. */
export interface Remark {
  state: State;
  says: string;
  source?: string;
  /** What can be done about it, in a word or two, and the text that does it; nothing where nothing can. */
  act?: string;
  text?: string;
  isWrong: boolean;
}

/** What is to be said of the values of a property: that it cannot show, that something has a name, that there is too little room. */
export function remarksOf(
  look: LookView,
  { setting: { id }, sameInAllStates }: PropertyView,
  states: readonly State[],
  widths: Widths,
): Remark[] {
  const idle = look.idle.find((i) => i.property === id)?.why;
  return [
    ...(idle ? [{ state: 'rest' as const, says: idle, isWrong: false }] : []),
    ...states
      .filter((state) => state === 'rest' || !sameInAllStates)
      .flatMap((state): Remark[] => {
        const preset = findCell(look, id, state, widths)?.preset;
        const squashed = findSquashed(look, id, state, widths);
        return [
          ...(preset ? [{ state, says: `is ${preset}`, act: 'use it', text: preset, isWrong: false }] : []),
          ...(squashed
            ? [{ state, says: squashed.says, source: squashed.source, act: `make it ${squashed.mend}`, text: squashed.mend, isWrong: true }]
            : []),
        ];
      }),
  ];
}
