import { expect, test } from 'vitest';
import { withChanges } from './changes';

const site = {
  name: 'A',
  colors: [
    { id: 'beet', css: 'red', steps: [1, 2] },
    { id: 'leaf', css: 'green', steps: [3] },
  ],
  things: { scheme: [{ id: 'day', fields: [{ id: 'colors/action', text: 'beet' }] }] },
};
const change = (path: string, value: unknown, order: string[] | null = null) => ({ path, value, order });

test('what is reached changes and everything else stays the same object', () => {
  const after = withChanges(site, [change('/colors/beet/css', 'teal'), change('/name', 'B')]);
  expect(after).toMatchObject({ name: 'B', colors: [{ id: 'beet', css: 'teal' }, { id: 'leaf' }] });
  expect(after.colors[1]).toBe(site.colors[1]);
  expect(after.things).toBe(site.things);
  expect(after.colors[0]?.steps).toBe(site.colors[0]?.steps);
  expect(site.name).toBe('A');
});

test('things come, go and move by the order of their ids', () => {
  const after = withChanges(site, [
    change('/colors/moss', { id: 'moss', css: 'olive', steps: [] }),
    change('/colors', null, ['moss', 'leaf']),
  ]);
  expect(after.colors.map((c) => c.id)).toEqual(['moss', 'leaf']);
  expect(after.colors[1]).toBe(site.colors[1]);
});

test('ids may hold slashes', () => {
  const after = withChanges(site, [change('/things/scheme/day/fields/colors~1action/text', 'leaf')]);
  expect(after.things.scheme[0]?.fields[0]?.text).toBe('leaf');
});

test('what has become nothing is nothing', () => {
  expect(withChanges({ a: { b: 'x' as string | null } }, [change('/a/b', null)])).toEqual({ a: { b: null } });
});
