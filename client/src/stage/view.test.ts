import { expect, test } from 'vitest';
import { readView, widthWithin, writeView } from './view';

test('an address nobody wrote shows the first page whole', () => {
  expect(readView(new URLSearchParams('width=12&show=x&vision=cat'))).toEqual({
    page: null,
    width: 1280,
    span: 'one',
    fit: true,
    show: 'rest',
    prefers: 'light',
    vision: 'full',
    severity: '100',
    whole: false,
    selected: null,
    schemes: [],
    reference: false,
    reveal: null,
  });
});

test('what is written is read again, and what is usual is left out', () => {
  const change = { width: 390, span: 'pages', fit: false, show: 'hover', prefers: 'dark', vision: 'tritanopia', whole: true } as const;
  const written = writeView(new URLSearchParams('color=beet'), change);
  expect(readView(written)).toMatchObject(change);
  expect(written.get('color')).toBe('beet');
  const back = writeView(written, { width: 1280, span: 'one', fit: true, show: 'rest', prefers: 'light', vision: 'full', whole: false });
  expect(back.toString()).toBe('color=beet');
});

test('values of an interval are seen at a width within it: the one at hand where it is, else a device of the list', () => {
  expect([widthWithin(null, 600, 1280), widthWithin(820, null, 390), widthWithin(820, null, 1280), widthWithin(600, 820, 390)]).toEqual([
    390, 820, 1280, 600,
  ]);
  expect(widthWithin(null, null, 820)).toBe(820);
});
