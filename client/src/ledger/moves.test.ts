import { beforeEach, expect, test } from 'vitest';
import { cellFrom } from './moves';

// A head with one state that can be unfolded, a row that is the same in all states, and a value being typed.
beforeEach(() => {
  document.body.innerHTML = `<table>
    <thead><tr><th></th><th>Rest</th><th>Hover</th><th><button id="fold"></button></th></tr></thead>
    <tbody><tr><th colspan="4">Group</th></tr>
      <tr><th>A</th><td><button class="cell" id="a1"></button></td><td><button class="cell" id="a2"></button></td><td></td></tr>
      <tr><th>B</th><td><button class="cell" id="b1"></button></td><td>same in all</td><td></td></tr>
      <tr><th>C</th><td><button class="cell" id="c1"></button></td><td><input id="c2" /></td><td></td></tr>
    </tbody></table>`;
});

const led = (from: string, key: string, ctrlKey = false) =>
  cellFrom(document.querySelector('table') as HTMLTableElement, document.getElementById(from) as Element, { key, ctrlKey })?.id ?? null;

test('arrows lead to the same column, or the nearest before it where a row has nothing there', () => {
  expect([led('a1', 'ArrowRight'), led('a2', 'ArrowRight'), led('a1', 'ArrowLeft')]).toEqual(['a2', null, null]);
  expect([led('a2', 'ArrowDown'), led('b1', 'ArrowDown'), led('b1', 'ArrowUp'), led('a2', 'ArrowUp'), led('fold', 'ArrowDown')]).toEqual([
    'b1',
    'c1',
    'a1',
    'fold',
    'a2',
  ]);
});

test('Home and End lead to the ends of the row, with Ctrl to those of the table, pages by ten rows', () => {
  expect([led('a2', 'Home'), led('a1', 'End'), led('c1', 'Home', true), led('a1', 'End', true)]).toEqual(['a1', 'a2', 'fold', 'c1']);
  expect([led('fold', 'PageDown'), led('c1', 'PageUp')]).toEqual(['c1', 'fold']);
});

test('what is being typed keeps its keys', () => {
  expect([led('c2', 'ArrowLeft'), led('c2', 'Home'), led('c2', 'Tab')]).toEqual([null, null, null]);
});
