import { expect, test } from 'vitest';
import { bandsOf, figuresOf, type Box, type Sides } from './bands';

const sides = (top: number, right: number, bottom: number, left: number): Sides => ({ top, right, bottom, left });
const box = (change: Partial<Box>): Box => ({
  left: 100,
  top: 100,
  right: 300,
  bottom: 200,
  width: 200,
  height: 100,
  border: sides(0, 0, 0, 0),
  padding: sides(0, 0, 0, 0),
  margin: sides(0, 0, 0, 0),
  ...change,
});
const VIEW = { width: 1280, height: 800 };
const figures = (b: Box, scale = 1, view = VIEW) => figuresOf(b, bandsOf(b), scale, view);

test('paddings lie within the border, margins around it', () => {
  const bands = bandsOf(box({ border: sides(2, 2, 2, 2), padding: sides(10, 20, 10, 20), margin: sides(30, 0, 0, 0) }));
  expect(bands).toEqual([
    { kind: 'margin', side: 'top', left: 100, top: 70, width: 200, height: 30 },
    { kind: 'padding', side: 'top', left: 102, top: 102, width: 196, height: 10 },
    { kind: 'padding', side: 'right', left: 278, top: 112, width: 20, height: 76 },
    { kind: 'padding', side: 'bottom', left: 102, top: 188, width: 196, height: 10 },
    { kind: 'padding', side: 'left', left: 102, top: 112, width: 20, height: 76 },
  ]);
});

test('a figure stands in its band where there is room, and beside the box where there is not', () => {
  expect(figures(box({ padding: sides(40, 0, 8, 0) }))).toEqual([
    { kind: 'padding', text: '40', x: 200, y: 120 },
    { kind: 'padding', text: '8', x: 314, y: 196 },
  ]);
  // Half as large on the screen, the figure takes twice as much of the page.
  expect(figures(box({ padding: sides(24, 0, 0, 0) }), 0.5)[0]).toMatchObject({ x: 328 });
});

test('figures beside the box do not meet, and stay on the page', () => {
  const low = box({ height: 12, padding: sides(2, 4, 2, 4) });
  const all = figures(low);
  const right = all.filter((f) => f.x > 300).map((f) => f.y);
  const below = all.filter((f) => f.x <= 300).map((f) => f.x);
  expect((right[1] ?? 0) - (right[0] ?? 0)).toBeGreaterThanOrEqual(15);
  expect(Math.abs((below[1] ?? 0) - (below[0] ?? 0))).toBeGreaterThanOrEqual(28);
  expect(figures(box({ left: 1070, padding: sides(4, 0, 0, 0) }))[0]?.x).toBeLessThan(1070);
  expect(figures(box({ top: 695, padding: sides(0, 0, 0, 4) }))[0]?.y).toBeLessThan(695);
});
