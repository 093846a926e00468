import { describe, expect, it } from 'vitest';
import { colorAt, lengthBetween, widthOn } from './reference';

describe('a reference picture', () => {
  it('of a whole screen is as wide as it, however dense', () => {
    expect([1280, 1920, 2560, 3840, 1300].map((pixels) => widthOn(pixels, 1280))).toEqual([1280, 1280, 1280, 1280, 1300]);
  });

  it('has the colours of its pixels, and none beside it or where it is clear', () => {
    const pixels = { width: 2, height: 1, data: new Uint8ClampedArray([11, 93, 99, 255, 1, 2, 3, 0]) } as unknown as ImageData;
    expect([colorAt(pixels, 0.9, 0.5), colorAt(pixels, 1, 0), colorAt(pixels, 2, 0), colorAt(pixels, -0.1, 0)]).toEqual([
      '#0b5d63',
      null,
      null,
      null,
    ]);
  });

  it('is measured along the longer side, and at a corner by both', () => {
    expect(lengthBetween('length', { x: 10, y: 5 }, { x: 34.4, y: 9 })).toBe('24px');
    expect(lengthBetween('length', { x: 10, y: 50 }, { x: 12, y: 9 })).toBe('41px');
    expect(lengthBetween('radius', { x: 0, y: 12 }, { x: 13, y: 0 })).toBe('13px');
  });
});
