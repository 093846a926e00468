import { beforeEach, expect, test } from 'vitest';
import type { LookView } from '../api/client';
import { nearest, walk } from './walk';

const looks = [
  { id: 'card', selector: '.card' },
  { id: 'button', selector: '.button' },
  { id: 'group', selector: '' },
] as LookView[];

beforeEach(() => {
  document.body.innerHTML =
    '<main><div class="card" id="a"><p>x <a class="button" id="b">y</a></p></div><div class="card" id="c"></div></main>';
});

const at = (id: string) => document.getElementById(id);
const led = (from: string | null, key: string) => walk(document, looks, from === null ? null : at(from), key)?.element.id ?? null;

test('the nearest element with a look is the place itself or what is around it', () => {
  expect(nearest(document.querySelector('p'), looks)?.element.id).toBe('a');
  expect(nearest(at('b'), looks)?.look.id).toBe('button');
  expect(nearest(document.querySelector('main'), looks)).toBeNull();
});

test('right and left lead through the page, up and down out of an element and into it', () => {
  expect([led(null, 'ArrowRight'), led('a', 'ArrowRight'), led('b', 'ArrowRight'), led('c', 'ArrowRight')]).toEqual(['a', 'b', 'c', null]);
  expect([led(null, 'ArrowLeft'), led('c', 'ArrowLeft'), led('a', 'ArrowLeft')]).toEqual(['c', 'b', null]);
  expect([led('b', 'ArrowUp'), led('a', 'ArrowUp'), led('a', 'ArrowDown'), led('c', 'ArrowDown')]).toEqual(['a', null, 'b', null]);
  expect(walk(document, looks, at('a'), 'PageDown')).toBeUndefined();
});
