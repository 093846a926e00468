import { expect, test } from 'vitest';
import { leastHeight } from './leastHeight';

test('a least height goes in tens of px from what it holds to the window, with Alt to any', () => {
  expect([300, 301, 307, 786, 790, 1200].map((px) => leastHeight(px, 300, 800, false))).toEqual([
    'content',
    'content',
    '310px',
    '790px',
    'window',
    'window',
  ]);
  expect([307, 900].map((px) => leastHeight(px, 300, 800, true))).toEqual(['307px', '900px']);
});
