import { expect, test } from 'vitest';
import type { CellView, LookView, PropertyView } from '../api/client';
import { bandEdit, grows, setBy, textOf, type Grip } from './bandEdit';

const cell = (change: Partial<CellView>): CellView => ({
  property: 'padding',
  state: 'rest',
  from: null,
  below: null,
  text: '1rem',
  note: '',
  swatch: null,
  sides: null,
  preset: null,
  ...change,
});
const grip = (cells: CellView[], change: Partial<Grip> = {}): Grip => ({
  look: {
    id: 'card',
    part: 'card',
    name: 'Standard',
    selector: '.card',
    wearers: 1,
    differing: {},
    cells,
    squashed: [],
    idle: [],
  } satisfies LookView,
  property: { setting: { id: 'padding' }, sides: ['top', 'right', 'bottom', 'left'] } as PropertyView,
  beyond: 0,
  least: 0,
  ...change,
});
const spaces = [8, 16].map((px, i) => ({
  id: `${i}`,
  place: i + 1,
  name: `space ${i + 1}`,
  variable: '',
  css: '',
  sizes: [{ width: 1280, px, rem: px / 16 }],
}));
const typed = (px: number, free = false, was = 16, cells = [cell({})]) =>
  textOf({ grip: grip(cells), side: 'left', width: 1280, spaces, free, px, was });

test('the hand keeps to the spaces, and else to the unit there was', () => {
  expect([typed(15), typed(17.9), typed(24), typed(15, true)]).toEqual(['space 2', 'space 2', '1.5rem', '0.938rem']);
  expect([typed(24, false, 0, []), typed(24, false, 12, [cell({ sides: ['1rem', '1rem', '1rem', '0.75rem'] })])]).toEqual([
    '24px',
    '1.5rem',
  ]);
});

test('the cell for this width is set, on the side that is held', () => {
  const some = grip([cell({}), cell({ from: 820 }), cell({ below: 600 })]);
  expect(bandEdit(some, 'right', 1280, '24px')).toMatchObject({
    look: 'card',
    property: 'padding',
    from: 820,
    below: null,
    side: 1,
    text: '24px',
  });
  expect(bandEdit(some, 'top', 700, '24px')).toMatchObject({ from: null, below: null, side: 0 });
});

test('what is beyond it, and what else counts, is kept out of what is set', () => {
  // Both add up: 30 of 42 come from elsewhere.
  expect(setBy(grip([], { beyond: 30, least: 30 }), 42)).toBe(12);
  expect(setBy(grip([], { beyond: 30, least: 30 }), 20)).toBe(0);
  // The larger counts: below the other one nothing moves.
  expect([setBy(grip([], { least: 20 }), 26), setBy(grip([], { least: 20 }), 12)]).toEqual([26, 20]);
});

test('a band grows as its inner edge, or what it holds off, moves with the hand', () => {
  expect((['top', 'right', 'bottom', 'left'] as const).map((side) => grows({ side }))).toEqual([1, -1, -1, 1]);
});
