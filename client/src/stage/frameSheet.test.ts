import { beforeEach, expect, test } from 'vitest';
import type { Schemas, TrialAnswer } from '../api/client';
import { withText, type Sheet } from '../site/sheet';
import { FrameSheet } from './frameSheet';

const sheet = (generated: string, overrides = ''): Sheet => ({
  version: 0,
  head: '',
  layers: ['a'],
  rules: [],
  keys: ['a', 'b'],
  generated,
  overrides,
  pages: {},
});
const whole = (css: string): Schemas['SheetChange'] => ({
  head: css,
  rules: [],
  order: [],
  overrides: null,
  pages: {},
  gone: [],
});
const stored = sheet('@media all { .a { color: red; margin: 1px } }\n.b { color: blue }');
const trial = (change: Partial<TrialAnswer>): TrialAnswer => ({
  version: 0,
  rules: [],
  sheet: null,
  overrides: null,
  problems: null,
  colors: [],
  gradients: [],
  backgrounds: [],
  pictures: [],
  blocks: [],
  orders: [],
  ...change,
});
const set = (key: string, name: string, value: string) => ({ key, set: [{ name, value }], unset: [] });

beforeEach(() => {
  document.head.innerHTML = '<style id="sheet"></style><style id="overrides"></style>';
});

const rule = (selector: string): CSSStyleDeclaration => {
  const find = (rules: CSSRuleList): CSSStyleRule | undefined => {
    for (const r of rules) {
      if ('selectorText' in r && r.selectorText === selector) return r as CSSStyleRule;
      const inner = 'cssRules' in r ? find((r as CSSGroupingRule).cssRules) : undefined;
      if (inner) return inner;
    }
    return undefined;
  };
  return (find((document.getElementById('sheet') as HTMLStyleElement).sheet?.cssRules as CSSRuleList) as CSSStyleRule).style;
};

test('a trial changes rules by their key, and goes without a trace', () => {
  const frame = new FrameSheet(document);
  frame.show(stored);
  frame.try(trial({ rules: [set('a', 'color', 'green'), { key: 'b', set: [{ name: 'margin', value: '2px' }], unset: ['color'] }] }));
  expect([rule('.a').color, rule('.b').margin, rule('.b').color]).toEqual(['green', '2px', '']);
  frame.show(stored);
  expect([rule('.a').color, rule('.b').margin, rule('.b').color]).toEqual(['red', '', 'blue']);
});

test('rules that are another are put in place of those that stand, with the conditions around them', () => {
  const rules = (size: string, color: string) => [
    { key: 'a', layer: 'a', css: `@media print { .a { font-size: ${size} } }` },
    { key: 'b', layer: 'a', css: `.b { color: ${color} }` },
  ];
  const layered = (size: string, color: string) =>
    withText({ version: 0, head: '', layers: ['a'], rules: rules(size, color), overrides: '', pages: {} });
  const frame = new FrameSheet(document);
  frame.show(layered('1px', 'red'));
  const element = document.getElementById('sheet');
  frame.try(trial({ rules: [set('b', 'color', 'green')] }));
  frame.show(layered('2px', 'red'));
  expect(document.getElementById('sheet')).toBe(element);
  expect([rule('.a').fontSize, rule('.b').color]).toEqual(['2px', 'red']);
  frame.try(trial({ rules: [set('a', 'font-size', '3px')] }));
  expect(rule('.a').fontSize).toBe('3px');
  frame.show(layered('4px', 'blue'));
  expect([rule('.a').fontSize, rule('.b').color]).toEqual(['4px', 'blue']);
  // Where a rule went, the sheet is a new one.
  const fewer = layered('4px', 'blue');
  frame.show(withText({ ...fewer, rules: fewer.rules.slice(1) }));
  expect(document.getElementById('sheet')).not.toBe(element);
});

test('the next trial starts from what is stored', () => {
  const frame = new FrameSheet(document);
  frame.show(stored);
  frame.try(trial({ rules: [set('a', 'color', 'green')] }));
  frame.try(trial({ rules: [set('a', 'margin', '9px')] }));
  expect([rule('.a').color, rule('.a').margin]).toEqual(['red', '9px']);
});

test('a whole sheet and overrides are tried and taken back', () => {
  const frame = new FrameSheet(document);
  frame.show(stored);
  frame.try(trial({ sheet: whole('.a { color: lime }'), overrides: '.o { color: pink }' }));
  expect(rule('.a').color).toBe('lime');
  expect(document.getElementById('overrides')?.textContent).toContain('pink');
  frame.try(trial({ rules: [set('b', 'color', 'teal')] }));
  expect([rule('.a').color, rule('.b').color]).toEqual(['red', 'teal']);
  frame.show(sheet(stored.generated));
  expect(rule('.b').color).toBe('blue');
  expect(document.getElementById('overrides')?.textContent).toBe('');
});
