import { expect, test } from 'vitest';
import type { CatalogueView } from '../api/client';
import { between, calledIn, endOf, moveTo, rowOf, rowsOf, spotFor, stepTo, zoneOf, type Block, type Row } from './outline';

const block = (id: string, part: string, ...blocks: Block[]): Block => ({
  id,
  part,
  look: part,
  name: id,
  scheme: null,
  address: '',
  classes: '',
  hiddenAt: [],
  content: {},
  shared: null,
  says: '',
  own: [],
  blocks,
});

// A section holds everything but sections, a row holds cards, a card holds text.
const catalogue = {
  parts: [],
  refusals: {
    '': { text: 'On a page itself stand sections.', row: 'On a page itself stand sections.', card: 'On a page itself stand sections.' },
    section: { section: 'A section stands on the page itself.' },
    row: { section: 'no', text: 'A row holds cards, no text.', row: 'A row holds cards, no row.' },
    card: { section: 'no', row: 'no', card: 'no' },
  },
} as unknown as CatalogueView;

const page = [
  block('a', 'section', block('a1', 'text'), block('row', 'row', block('c1', 'card', block('t', 'text')), block('c2', 'card'))),
  block('b', 'section', block('b1', 'text')),
];
const rows = rowsOf(page);
const row = (id: string) => rowOf(rows, id) as Row;

test('the outline goes from top to bottom, and leaves out what stands in closed ones', () => {
  expect(rows.map((r) => `${r.depth} ${r.block.id}`)).toEqual(['0 a', '1 a1', '1 row', '2 c1', '3 t', '2 c2', '0 b', '1 b1']);
  expect(rowsOf(page, ['row']).map((r) => r.block.id)).toEqual(['a', 'a1', 'row', 'b', 'b1']);
  expect([row('c2').at, row('c2').count, row('c2').parent?.id]).toEqual([1, 2, 'row']);
});

test('what is added comes into what is chosen, else after it, else after what is around', () => {
  expect(spotFor(catalogue, rows, row('row'), 'card')).toEqual({ parent: 'row', at: 2 });
  expect(spotFor(catalogue, rows, row('c2'), 'card')).toEqual({ parent: 'row', at: 2 });
  expect(spotFor(catalogue, rows, row('t'), 'row')).toEqual({ parent: 'a', at: 2 });
  expect(spotFor(catalogue, rows, row('c1'), 'section')).toEqual({ parent: null, at: 1 });
  expect([spotFor(catalogue, rows, undefined, 'section'), spotFor(catalogue, rows, undefined, 'text')]).toEqual([
    { parent: null, at: 2 },
    null,
  ]);
});

test('the edges of a row are beside it, and its middle is within where it holds anything', () => {
  expect([zoneOf(102, 100, 30, true), zoneOf(115, 100, 30, true), zoneOf(128, 100, 30, true)]).toEqual(['before', 'within', 'after']);
  expect([zoneOf(112, 100, 30, false), zoneOf(118, 100, 30, false)]).toEqual(['before', 'after']);
});

test('a drop counts places as they are once the block is gone, and says why it cannot be', () => {
  expect(moveTo(catalogue, [row('a')], row('b'), 'after')).toEqual({ parent: null, at: 1 });
  expect(moveTo(catalogue, [row('b')], row('a'), 'before')).toEqual({ parent: null, at: 0 });
  expect([moveTo(catalogue, [row('a')], row('b'), 'before'), moveTo(catalogue, [row('a')], row('a'), 'within')]).toEqual([null, null]);
  expect(moveTo(catalogue, [row('b1')], row('row'), 'within')).toBe('A row holds cards, no text.');
  expect(moveTo(catalogue, [row('b1')], row('row'), 'after')).toEqual({ parent: 'a', at: 2 });
  expect(moveTo(catalogue, [row('a')], row('c1'), 'within')).toBe('A block cannot stand in itself.');
});

test('Alt and an arrow lead among siblings, over the end into the next, out and in', () => {
  const step = (id: string, key: string) => stepTo(catalogue, rows, [row(id)], key);
  expect([step('a1', 'ArrowDown'), step('row', 'ArrowUp')]).toEqual([
    { parent: 'a', at: 1 },
    { parent: 'a', at: 0 },
  ]);
  expect([step('row', 'ArrowDown'), step('b1', 'ArrowUp')]).toEqual([
    { parent: 'b', at: 0 },
    { parent: 'a', at: 2 },
  ]);
  expect([step('t', 'ArrowLeft'), step('b1', 'ArrowLeft'), step('b', 'ArrowLeft')]).toEqual([
    'A row holds cards, no text.',
    'On a page itself stand sections.',
    null,
  ]);
  expect([step('c2', 'ArrowRight'), step('row', 'ArrowRight')]).toEqual(['no', 'Nothing stands in a block.']);
});

test('a block is told apart by its name, else by its first words', () => {
  const named = { parts: [{ id: 'text', name: 'Paragraph' }] } as unknown as CatalogueView;
  const paragraph = { ...block('p', 'text'), name: 'Lead', says: 'Two hundred vegetables' };
  expect(calledIn(named, { ...paragraph, name: 'Promise' }, 'Lead')).toBe('Promise');
  expect([calledIn(named, paragraph, 'Lead'), calledIn(named, { ...paragraph, name: 'Paragraph', says: '' }, 'Lead')]).toEqual([
    'Two hundred vegetables',
    '',
  ]);
});

test('several blocks move together, in the order they have', () => {
  const all = [block('s', 'section', ...['1', '2', '3', '4'].map((id) => block(id, 'text')))];
  const inAll = rowsOf(all);
  const some = (...ids: string[]) => ids.map((id) => rowOf(inAll, id) as Row);
  expect(stepTo(catalogue, inAll, some('1', '2'), 'ArrowDown')).toEqual({ parent: 's', at: 1 });
  expect(stepTo(catalogue, inAll, some('3', '4'), 'ArrowUp')).toEqual({ parent: 's', at: 1 });
  expect(stepTo(catalogue, inAll, some('1', '3'), 'ArrowDown')).toContain('do not follow each other');
  expect(moveTo(catalogue, some('1', '3'), some('4')[0] as Row, 'after')).toEqual({ parent: 's', at: 2 });
  expect([
    moveTo(catalogue, some('2', '3'), some('1')[0] as Row, 'after'),
    moveTo(catalogue, some('2', '4'), some('4')[0] as Row, 'after'),
  ]).toEqual([null, null]);
  expect(between(inAll, some('3')[0] as Row, some('1')[0] as Row).map((r) => r.block.id)).toEqual(['1', '2', '3']);
});

test('at the end of a page comes what can stand there, or in its last section that holds it', () => {
  const to = { name: 'Guide', sections: page } as unknown as Parameters<typeof endOf>[2];
  expect([endOf(catalogue, [row('a')], to), endOf(catalogue, [row('a1')], to)]).toEqual([
    { parent: null, at: 2 },
    { parent: 'b', at: 1 },
  ]);
  expect(endOf(catalogue, [row('a1')], { ...to, sections: [] })).toContain('add a section there first');
});
