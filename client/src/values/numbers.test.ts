import { expect, test } from 'vitest';
import { numberIn, stepNumber, inUnitOf } from './numbers';

test('the number at the caret is stepped', () => {
  expect(stepNumber('12px 22px', 1, 1)).toEqual({ text: '13px 22px', caret: 2 });
  expect(stepNumber('12px 22px', 6, -10)).toEqual({ text: '12px 12px', caret: 7 });
  expect(stepNumber('1.25em', 2, 1)).toEqual({ text: '1.26em', caret: 4 });
  expect(stepNumber('-1px', 1, 1)).toEqual({ text: '0px', caret: 1 });
  expect(stepNumber('0.1', 3, -1)?.text).toBe('0.0');
  expect(stepNumber('action', 2, 1)).toBeNull();
});

test('positions keep their sign, and there is no minus nought', () => {
  const step = (text: string, by: number) => stepNumber(text, numberIn(text) ?? -1, by)?.text;
  expect([step('size −1', 1), step('size −1', -1), step('size −2', 1)]).toEqual(['size 0', 'size −2', 'size −1']);
  expect([step('size 0', 1), step('size 0', -1), step('size +1', 1), step('size +1', -2)]).toEqual([
    'size +1',
    'size −1',
    'size +2',
    'size −1',
  ]);
  expect(step('-1px', 1)).toBe('0px');
});

test('a value is a number where its form is one, and not where digits stand in a name or a colour', () => {
  const at = (text: string) => numberIn(text);
  expect([at('12px 8px'), at('space 3 * 2'), at('rest + 2px'), at('beet tint 2'), at('size −1')]).toEqual([0, 6, 7, 10, 5]);
  expect([at('Heading 2'), at('#8a2846'), at('action'), at('Night shade'), at('oklch(0.5 0.1 20)')]).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
});

test('a length keeps its unit where it is one number', () => {
  expect(inUnitOf('0.5rem', 8, 12)).toBe('0.75rem');
  expect(inUnitOf('2vw', 25.6, 32)).toBe('2.5vw');
  expect([inUnitOf('8px', 8, 11.6), inUnitOf('space 2', 8, 12), inUnitOf('0rem', 0, 12), inUnitOf(null, 0, 5)]).toEqual([
    '12px',
    '12px',
    '12px',
    '5px',
  ]);
});
