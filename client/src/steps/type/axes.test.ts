import { expect, it } from 'vitest';
import { axesText, placeOn } from './axes';

it('reads and sets one axis among others', () => {
  expect(placeOn('usual', 'opsz')).toBeNull();
  expect(placeOn('opsz 72, SOFT 50', 'SOFT')).toBe(50);
  expect(axesText('usual', 'wdth', 87.5)).toBe('wdth 87.5');
  expect(axesText('opsz 72, SOFT 50', 'opsz', 9)).toBe('opsz 9, SOFT 50');
  expect(axesText('opsz 72', 'SOFT', 0)).toBe('opsz 72, SOFT 0');
});
