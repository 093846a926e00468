import { expect, test } from 'vitest';
import type { Typed, Wrong } from '../site/typing';
import { saveState } from './SaveState';

const typed = (kind: Wrong['kind'] | null, left = true): Typed => ({
  edit: { kind: 'setOverrides', css: '' },
  name: 'Overrides',
  gesture: 'g',
  madeOn: 1,
  at: '/',
  left,
  wrong: kind && { kind, said: '' },
  over: null,
});
const calm = { version: 3, saving: false, trying: false, connected: true };
const said = (change: Partial<typeof calm>, ...waiting: Typed[]) =>
  saveState({ ...calm, ...change, typed: Object.fromEntries(waiting.map((one, i) => [String(i), one])) });

test('what is said of saving is how it is, the worst first', () => {
  expect(said({})).toBe('All changes saved · edit 3');
  expect(said({ version: 0 })).toBe('All changes saved');
  expect(said({ trying: true })).toBe('Being tried, not saved');
  expect(said({}, typed(null, false))).toBe('Being tried, not saved');
  expect(said({ saving: true, trying: true })).toBe('Saving…');
  expect(said({}, typed(null))).toBe('Saving…');
  expect(said({}, typed('failed'))).toBe('Not saved yet. Trying again…');
  expect(said({}, typed('failed'), typed('clash'))).toBe('Not everything is saved');
  expect(said({}, typed('refused'))).toBe('Not everything is saved');
  expect(said({ connected: false }, typed('refused'))).toBe('No connection. What you typed is kept here…');
  expect(said({ connected: false })).toBe('No connection. Trying again…');
});
