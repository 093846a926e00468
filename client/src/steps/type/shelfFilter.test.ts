import { expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { filtered, type ShelfFilter } from './shelfFilter';

const family = (name: string, about: Partial<Schemas['BundledFamilyView']>): Schemas['BundledFamilyView'] => ({
  id: name,
  name,
  class: 'serif',
  stack: name,
  from: 400,
  to: 700,
  weights: '400–700',
  hasItalics: false,
  xHeight: 0.5,
  axes: [],
  languages: [],
  files: [],
  ...about,
});
const file = (from: number, to: number) => ({
  item: '',
  address: '',
  from,
  to,
  italic: false,
  ranges: '',
  isOwn: false,
  licence: '',
  mayEmbed: true,
  usedBy: [],
});
const all = [
  family('Quince', { hasItalics: true, files: [file(300, 300), file(700, 700)], xHeight: 0.42 }),
  family('Aronia', {
    class: 'sans',
    languages: ['Polish'],
    axes: [{ tag: 'wdth', least: 75, usual: 100, most: 125 }],
    files: [file(100, 900)],
    xHeight: 0.53,
  }),
];
const any: ShelfFilter = { class: 'all', weight: 0, italic: false, axis: '', language: '', search: '', sort: 'class' };
const names = (change: Partial<ShelfFilter>) => filtered(all, { ...any, ...change }).map((f) => f.name);

it('filters by class, weight, italics, axis and name', () => {
  expect(names({})).toEqual(['Quince', 'Aronia']);
  expect(names({ class: 'sans' })).toEqual(['Aronia']);
  expect(names({ weight: 700 })).toEqual(['Quince', 'Aronia']);
  // Two files do not hold what lies between them.
  expect(names({ weight: 500 })).toEqual(['Aronia']);
  expect(names({ italic: true })).toEqual(['Quince']);
  expect(names({ axis: 'wdth' })).toEqual(['Aronia']);
  expect(names({ language: 'Polish' })).toEqual(['Aronia']);
  expect(names({ search: ' quin' })).toEqual(['Quince']);
});

it('sorts by name and by x-height, the largest first', () => {
  expect(names({ sort: 'name' })).toEqual(['Aronia', 'Quince']);
  expect(names({ sort: 'xHeight' })).toEqual(['Aronia', 'Quince']);
});
