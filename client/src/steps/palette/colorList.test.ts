import { expect, test } from 'vitest';
import type { ColorView, ThingView } from '../../api/client';
import { grouped, movedBy, narrowed, type ListedColor } from './colorList';

const color = (id: string, group = '', more: Partial<ColorView> = {}, uses: string[] = []): ListedColor => {
  const view = { id, css: '#123456', hex: '#123456', group, inSrgb: true, computed: null, ...more } as ColorView;
  return { thing: { id, name: id, uses } as unknown as ThingView, stored: view };
};
const none = { failing: new Set<string>(), alike: new Set<string>() };
const ids = (colors: readonly ListedColor[]) => colors.map((c) => c.thing.id).join(' ');

test('groups stand where they first come up', () => {
  const groups = grouped([color('a', 'x'), color('b'), color('c', 'x')]);
  expect(groups.map((g) => `${g.group}: ${ids(g.colors)}`)).toEqual(['x: a c', ': b']);
});

test('search looks at names, values and groups; filters at what is known of each', () => {
  const colors = [color('leaf', 'Garden'), color('rain', '', { css: 'mix leaf, husk 3%', inSrgb: false }, ['Button']), color('soil')];
  expect(ids(narrowed(colors, ' LEAF ', 'all', none))).toBe('leaf rain');
  expect(ids(narrowed(colors, 'gard', 'all', none))).toBe('leaf');
  expect(ids(narrowed(colors, '', 'unused', none))).toBe('leaf soil');
  expect(ids(narrowed(colors, '', 'wide', none))).toBe('rain');
  expect(ids(narrowed(colors, '', 'failing', { ...none, failing: new Set(['soil']) }))).toBe('soil');
  expect(ids(narrowed(colors, 'rain', 'alike', { ...none, alike: new Set(['soil']) }))).toBe('');
});

test('a colour moves within its group, then over its edge, and no further than the list', () => {
  const colors = [color('a', 'x'), color('b'), color('c', 'x'), color('d')];
  // As listed: a c | b d.
  expect(movedBy(colors, 'a', 1)).toEqual({ before: 'b', group: 'x' });
  expect(movedBy(colors, 'c', 1)).toEqual({ before: 'b', group: '' });
  expect(movedBy(colors, 'b', -1)).toEqual({ before: 'd', group: 'x' });
  expect(movedBy(colors, 'd', -1)).toEqual({ before: 'b', group: '' });
  expect(movedBy(colors, 'a', -1)).toBeNull();
  expect(movedBy(colors, 'd', 1)).toBeNull();
});
