import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { create } from 'zustand';
import type { Schemas, SiteView } from '../api/client';
import type { Editing } from '../site/editing';
import { EditingContext } from '../site/editingContext';
import { StatusLine } from './StatusLine';

let pairs: Partial<Schemas['PairsView']> | undefined;
let reach: Schemas['Reach'] | undefined;
let type: Pick<Schemas['TypeFiguresView'], 'concerns' | 'styles'> | undefined;

vi.mock('../site/figures', async (real) => ({
  ...(await real()),
  usePairs: () => ({ data: pairs }),
  useReach: () => reach,
  useTypeFigures: () => ({ data: type }),
}));

const show = (last: string | null) => {
  const history = { undo: null, redo: null, last };
  const site = { figures: { stylesheetBytes: 26149 } } as unknown as SiteView;
  render(
    <EditingContext value={create<Editing>(() => ({ site, history }) as unknown as Editing)}>
      <StatusLine />
    </EditingContext>,
  );
  return screen.getByRole('contentinfo').textContent;
};
const lowest = (ratio: number, passes: boolean) => ({ ratio, passes, target: 4.5, where: 'Button' }) as Schemas['PairInUseView'];

beforeEach(() => {
  pairs = undefined;
  reach = undefined;
  type = undefined;
});

afterEach(cleanup);

test('nothing is said of what is not computed yet', () => {
  expect(show(null)).toBe('No edits yetStylesheet 26.1 kB');
});

test('the lowest contrast says whether it is enough', () => {
  pairs = { lowest: lowest(3.89, false), broken: [], mended: [] };
  expect(show(null)).toContain('Lowest text contrast 3.89 : 1 needs 4.5');
  cleanup();
  pairs = { lowest: lowest(5.2, true), broken: [], mended: [] };
  expect(show(null)).toContain('Lowest text contrast 5.20 : 1 meets AA');
});

test('what is to be said of the text styles is counted, and said when it is asked for', () => {
  type = { concerns: 0, styles: [] };
  expect(show(null)).toContain('Type no notes');
  cleanup();
  const finding = { concern: 'weight' as const, says: 'Figtree has no 950: it is shown as 900.', source: 'CSS Fonts 4, §5.2' };
  type = { concerns: 1, styles: [{ style: 'body', lines: [], smallest: 17, doubledAt: 200, findings: [finding] }] };
  expect(show(null)).toContain('Type 1 note');
  expect(screen.getByTitle('Figtree has no 950: it is shown as 900.')).toBeTruthy();
});

test('the last edit says how far it reaches', () => {
  reach = { pages: 6, elements: 31, isWhole: true };
  expect(show('beet → teal')).toContain('Last edit beet → teal reaches 6 pages, 31 elements');
  cleanup();
  reach = { pages: 1, elements: 1, isWhole: true };
  expect(show('beet → teal')).toContain('reaches 1 page, 1 element');
  cleanup();
  reach = { pages: 0, elements: 0, isWhole: true };
  expect(show('moss added')).toContain('reaches nothing on the pages');
  cleanup();
  reach = { pages: 2, elements: 9, isWhole: false };
  expect(show('Overrides')).toContain('reaches at least 2 pages, 9 elements');
});

test('the last edit says which pairs it broke and mended', () => {
  pairs = { lowest: null, broken: ['pollen on leaf · text'], mended: ['a', 'b'] };
  expect(show('beet → teal')).toContain('beet → teal · breaks pollen on leaf · text · mends 2 pairs');
});
