import { beforeEach, expect, test } from 'vitest';
import { around, caretIn, putCaret, putSpot, saidIn, spotIn } from './caret';
import { indent, joinItem, leaveAt, nextItem, outdent, stepCell } from './lines';
import { link, nodesOf, toggle } from './marks';

let root: HTMLElement;

const show = (html: string): HTMLElement => {
  document.body.innerHTML = html;
  root = document.body.firstElementChild as HTMLElement;
  return root;
};

const select = (from: number, to: number) => {
  putCaret(root, from);
  const selection = document.getSelection() as Selection;
  const { startContainer, startOffset } = selection.getRangeAt(0);
  putCaret(root, to);
  const end = selection.getRangeAt(0);
  const range = document.createRange();
  range.setStart(startContainer, startOffset);
  range.setEnd(end.startContainer, end.startOffset);
  selection.removeAllRanges();
  selection.addRange(range);
};

beforeEach(() => document.getSelection()?.removeAllRanges());

test('a mark is put on what is selected, across other marks, and taken off a piece of it', () => {
  show('<p>one <em>two</em> three</p>');
  select(2, 6);
  expect(toggle(root, 'strong')).toBe(true);
  expect(root.innerHTML).toBe('on<strong>e <em>tw</em></strong><em>o</em> three');
  select(3, 4);
  toggle(root, 'strong');
  expect(root.innerHTML).toBe('on<strong>e</strong> <strong><em>tw</em></strong><em>o</em> three');
  expect(root.textContent).toBe('one two three');
  putCaret(root, 3);
  expect(toggle(root, 'strong')).toBe(false);
});

test('a link is made of what is selected, changed and taken away', () => {
  show('<p>one two</p>');
  select(4, 7);
  link(root, 'guide', 'Guide');
  expect(root.innerHTML).toBe('one <a href="#" data-to="guide">two</a>');
  putCaret(root, 5);
  link(root, '#here', 'Here');
  expect(root.querySelector('a')?.dataset.to).toBe('#here');
  link(root, null, '');
  expect(root.innerHTML).toBe('one two');
  putCaret(root, 4);
  link(root, 'guide', 'Guide');
  expect(root.innerHTML).toBe('one <a href="#" data-to="guide">Guide</a>two');
});

test('what stands before and after the caret keeps its marks', () => {
  show('<p>one <strong>two three</strong></p>');
  putCaret(root, 7);
  expect(around(root)).toEqual({ before: 'one <strong>two</strong>', after: '<strong> three</strong>' });
  expect(caretIn(root)).toBe(7);
});

test('items are begun, put into each other, taken out and joined', () => {
  show('<ul><li>one</li><li>two</li><li>three</li></ul>');
  putCaret(root.children[1] as HTMLElement, 1);
  nextItem(root);
  expect(root.innerHTML).toBe('<li>one</li><li>t</li><li>wo</li><li>three</li>');
  expect(indent(root)).toBe(true);
  expect(root.innerHTML).toBe('<li>one</li><li>t<ul><li>wo</li></ul></li><li>three</li>');
  expect(outdent(root)).toBe(true);
  expect(root.innerHTML).toBe('<li>one</li><li>t</li><li>wo</li><li>three</li>');
  expect(outdent(root)).toBe(false);
  putCaret(root.children[2] as HTMLElement, 0);
  expect(joinItem(root)).toBe(true);
  expect(root.innerHTML).toBe('<li>one</li><li>two</li><li>three</li>');
  putCaret(root.children[0] as HTMLElement, 0);
  expect(indent(root)).toBe(false);
  expect(joinItem(root)).toBe(false);
});

test('an empty item is left: what stands around it stays', () => {
  show('<ul class="x"><li>one</li><li></li><li>three</li></ul>');
  putCaret(root.children[1] as HTMLElement, 0);
  expect(nextItem(root)).toBeNull();
  expect(leaveAt(root)).toEqual({ before: '<ul class="x"><li>one</li></ul>', after: '<ul class="x"><li>three</li></ul>' });
});

test('the caret is found again by its line, and indentation says nothing', () => {
  show('<ul>\n  <li>one\n    <ul>\n <li>two</li></ul></li><li>three</li></ul>');
  putCaret(root.querySelectorAll('li')[1] as HTMLElement, 2);
  const spot = spotIn(root);
  expect(spot).toEqual({ line: 1, at: 2 });
  expect(saidIn(root)).toBe('one\ntwo\nthree');
  show('<ul><li>one<ul><li>two</li></ul></li><li>three</li></ul>');
  if (spot) putSpot(root, spot);
  expect(spotIn(root)).toEqual(spot);
});

test('cells are walked, and a row is added after the last', () => {
  show('<table><tbody><tr><td>a</td><td>b</td></tr></tbody></table>');
  putCaret(root.querySelectorAll('td')[0] as HTMLElement, 0);
  stepCell(root, 'next');
  expect(spotIn(root)).toEqual({ line: 1, at: 1 });
  stepCell(root, 'next');
  expect(root.querySelectorAll('tr')).toHaveLength(2);
  expect(spotIn(root)).toEqual({ line: 2, at: 0 });
});

test('runs become elements, never markup', () => {
  show('<p></p>');
  const none = { isStrong: false, isEmphasis: false, isCode: false };
  root.append(
    ...nodesOf(document, [
      { ...none, text: '<b>' },
      { ...none, text: 'x\ny', isStrong: true, link: 'guide' },
    ]),
  );
  expect(root.innerHTML).toBe('&lt;b&gt;<a href="#" data-to="guide"><strong>x<br>y</strong></a>');
});
