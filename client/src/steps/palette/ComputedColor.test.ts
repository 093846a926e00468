import { expect, test } from 'vitest';
import { textOf } from './ComputedColor';

const none = { share: 0, space: '', lightness: 0, chroma: 0, hue: 0 };

test('what a hand has set is written as it would be typed', () => {
  expect(textOf({ ...none, from: 'leaf', other: 'husk tint 2', share: 30, space: 'oklch' })).toBe('mix leaf, husk tint 2 30% in oklch');
  expect(textOf({ ...none, from: 'leaf', other: null, lightness: 10, hue: -20 })).toBe('move leaf, lightness +10, hue −20');
});
