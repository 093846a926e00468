import { expect, test } from 'vitest';
import type { LookView, PropertyView } from '../api/client';
import { ALL_WIDTHS, differs, findCell, inherited, variesByWidth } from './cells';

const look: LookView = {
  id: 'l',
  part: 'button',
  name: 'Filled',
  selector: '.l',
  wearers: 1,
  differing: {},
  squashed: [],
  idle: [],
  cells: [
    { property: 'padding', state: 'rest', from: null, below: null, text: 'space 2', note: '8 px', swatch: null, sides: null, preset: null },
    { property: 'padding', state: 'rest', from: 820, below: null, text: 'space 3', note: '16 px', swatch: null, sides: null, preset: null },
    {
      property: 'background',
      state: 'hover',
      from: null,
      below: null,
      text: 'rest shade 1',
      note: '',
      swatch: '#000000',
      sides: null,
      preset: null,
    },
  ],
};
const property = (id: string): PropertyView => ({
  sameInAllStates: false,
  setting: { id, name: id, group: '', kind: 'length', words: [], offers: [] },
  sides: null,
  changeOf: null,
  cssName: '',
  target: '',
});

test('a cell is found by property, state and widths', () => {
  expect(findCell(look, 'padding', 'rest', ALL_WIDTHS)?.text).toBe('space 2');
  expect(findCell(look, 'padding', 'rest', { from: 820, below: null })?.text).toBe('space 3');
  expect(findCell(look, 'padding', 'hover', ALL_WIDTHS)).toBeUndefined();
});

test('what is inherited says from where', () => {
  expect(inherited(look, property('padding'), 'hover', ALL_WIDTHS)).toBe('as rest');
  expect(inherited(look, property('gap'), 'rest', ALL_WIDTHS)).toBe('not set');
  expect(inherited(look, property('padding'), 'rest', { from: 600, below: 820 })).toBe('space 2');
});

test('states and widths that differ are known', () => {
  expect([differs(look, 'hover'), differs(look, 'focus')]).toEqual([true, false]);
  expect([variesByWidth(look, 'padding', 'rest'), variesByWidth(look, 'background', 'hover')]).toEqual([true, false]);
});
