import { expect, test } from 'vitest';
import { firstNumber, stepNumber } from './numbers';

test('the number at the caret is stepped', () => {
  expect(stepNumber('12px 22px', 1, 1)).toEqual({ text: '13px 22px', caret: 2 });
  expect(stepNumber('12px 22px', 6, -10)).toEqual({ text: '12px 12px', caret: 7 });
  expect(stepNumber('1.25em', 2, 1)).toEqual({ text: '1.26em', caret: 4 });
  expect(stepNumber('-1px', 1, 1)).toEqual({ text: '0px', caret: 1 });
  expect(stepNumber('action', 2, 1)).toBeNull();
});

test('the first number of a text is found', () => {
  expect([firstNumber('space 3 * 2'), firstNumber('action')]).toEqual([6, null]);
});
