import { expect, it } from 'vitest';
import { linesText } from './figuresText';

it('says how long lines are, or that nobody has measured them', () => {
  const figures = {
    style: 'body',
    lines: [
      { width: 390, characters: 41, block: 'a' },
      { width: 1280, characters: 66, block: 'b' },
    ],
    smallest: 17,
    doubledAt: 205,
    findings: [],
  };
  expect(linesText(figures)).toBe('Characters a line: 41 at 390, 66 at 1280 · smallest 17px · twice as large at 205 % zoom');
  expect(linesText({ ...figures, lines: [], smallest: null, doubledAt: null })).toBe(
    'Characters a line: not measured yet, or nowhere more than one line · size depends on what is around · never twice as large by zoom',
  );
});
