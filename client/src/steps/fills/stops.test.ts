import { expect, test } from 'vitest';
import type { ThingView } from '../../api/client';
import { stopAt } from './stops';

const field = (id: string, text: string) => ({ id, text, note: '', names: null });

const item = (id: string, position: string) => ({ id, fields: [field('color', id), field('position', position)] });

const thing = { id: 'dawn', items: [item('a', '0%'), item('b', '40%'), item('c', '100%')] } as unknown as ThingView;

const along = Array.from({ length: 101 }, (_, n) => `#0000${n.toString(16).padStart(2, '0')}`);

test('A stop comes after the last one before it, in the colour that is there', () => {
  expect(stopAt(thing, along, 62.04, 'new')).toMatchObject({
    like: 'b',
    in: 'dawn',
    values: { color: '#00003e', position: '62%' },
  });
});

test('Before all others it comes after the first, and takes its colour from the beginning of the line', () => {
  expect(stopAt(thing, along, -3, 'new')).toMatchObject({ like: 'a', values: { color: '#000000', position: '-3%' } });
});
