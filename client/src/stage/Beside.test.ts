import { expect, it } from 'vitest';
import { said } from './Beside';

const figures = { face: 'A', xHeight: 0.48, capHeight: 0.7, textWidth: 1000, weights: '300–900', hasItalics: true };

it('says what differs between two candidates', () => {
  expect(said(figures, figures)).toBe('Nothing differs in figures');
  expect(said(figures, { ...figures, xHeight: 0.504, textWidth: 1060, weights: '400', hasItalics: false })).toBe(
    'x-height .480 | .504 (+5 %) · text 6 % wider on the right · weights 300–900 | 400 · italics left alone',
  );
  expect(said(figures, { ...figures, textWidth: null, weights: '' })).toBe('text not known · weights 300–900 | as the device has');
});
