import { expect, test } from 'vitest';
import type { Schemas, SheetView } from '../api/client';
import { changedSheet, withText } from './sheet';

const rule = (key: string, layer: string, css = `\n  .${key} { top: 0 }\n`) => ({ key, layer, css });
const sheet: SheetView = {
  version: 1,
  head: '@layer a, b;\n',
  layers: ['a', 'b'],
  rules: [rule('x', 'a'), rule('y', 'a'), rule('z', 'b')],
  overrides: '',
  pages: { home: '1', guide: '2' },
};
const change = (more: Partial<Schemas['SheetChange']>): Schemas['SheetChange'] => ({
  head: null,
  rules: [],
  order: null,
  overrides: null,
  pages: {},
  gone: [],
  ...more,
});

test('rules stand in their layers, layers in their order', () => {
  expect(withText(sheet).generated).toBe(
    '@layer a, b;\n\n@layer a {\n  .x { top: 0 }\n\n  .y { top: 0 }\n}\n\n@layer b {\n  .z { top: 0 }\n}\n',
  );
});

test('a rule that changed takes its place, and the others stay as they are', () => {
  const after = changedSheet(sheet, 2, change({ rules: [rule('y', 'a', '\n  .y { top: 1px }\n')], pages: { home: '9' } }));
  expect(after.version).toBe(2);
  expect(after.generated).toContain('.y { top: 1px }');
  expect(after.rules[0]).toBe(sheet.rules[0]);
  expect(after.pages).toEqual({ home: '9', guide: '2' });
});

test('rules come and go by the order of their keys, and pages that are gone are forgotten', () => {
  const after = changedSheet(sheet, 2, change({ rules: [rule('w', 'b')], order: ['y', 'w', 'z'], gone: ['guide'], overrides: 'a {}' }));
  expect(after.keys).toEqual(['y', 'w', 'z']);
  expect(after.overrides).toBe('a {}');
  expect(after.pages).toEqual({ home: '1' });
});
