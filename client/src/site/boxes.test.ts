import { expect, it } from 'vitest';
import { frameKey, useBoxes, widest } from './boxes';

const box = (style: string, width: number, inline: number) => ({ style, width, inline, block: 'b' });

it('keeps the widest box of each style at each width', () => {
  const frames = {
    [frameKey('a', 390)]: [box('body', 390, 300), box('body', 1280, 600)],
    [frameKey('b', 390)]: [box('body', 390, 320), box('title', 390, 200)],
    [frameKey('gone', 390)]: [box('body', 390, 380)],
  };
  expect(widest(frames, [{ id: 'a' }, { id: 'b' }])).toEqual([box('body', 390, 320), box('body', 1280, 600), box('title', 390, 200)]);
});

it('stays the same where nothing was measured otherwise', () => {
  useBoxes.getState().measured('a', [box('body', 390, 300)]);
  const before = useBoxes.getState().frames;
  useBoxes.getState().measured('a', [box('body', 390, 300)]);
  expect(useBoxes.getState().frames).toBe(before);
  useBoxes.getState().forget();
  expect(useBoxes.getState().frames).toEqual({});
});
