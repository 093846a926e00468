import { expect, it } from 'vitest';
import { boxesAt, type FillBox } from './fillBoxes';

it('finds of each width the first box in the order of the pages', () => {
  const box = (name: string, page: string, at: number): FillBox => ({ name, page, at, width: at, height: 100 });
  const frames = {
    'b 390': [box('fill-x', 'b', 390)],
    'a 390': [box('fill-y', 'a', 390), box('fill-x', 'a', 390)],
    'gone 820': [box('fill-x', 'gone', 820)],
  };
  expect(boxesAt(frames, ['fill-x'], [{ id: 'a' }, { id: 'b' }], [390, 820]).map((b) => b?.page)).toEqual(['a', undefined]);
});
