import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { RequestFailed, type Edit } from '../api/client';
import { createTyping, textOf, type Typed, type TypedPlaces, type Typing } from './typing';

const KEY = 'typed';
const css = (text: string): Edit => ({ kind: 'setOverrides', css: text });
const typed = (text: string, gesture: string): Typing => ({ edit: css(text), name: 'Overrides', gesture, rests: true });

let places: TypedPlaces;
let sent: Typed[];
let answer: () => Promise<RequestFailed | null>;
let version: number;

const fresh = () => {
  const typing = createTyping({
    key: KEY,
    version: () => version,
    onChange: (now) => (places = now),
    send: (typed) => {
      sent.push(typed);
      return answer();
    },
  });
  places = typing.kept;
  typing.open();
  return typing;
};
const said = (one: Typed | undefined) => one && textOf(one.edit);

beforeEach(() => {
  vi.useFakeTimers();
  sessionStorage.clear();
  sent = [];
  version = 3;
  answer = () => Promise.resolve(null);
});
afterEach(() => vi.useRealTimers());

test('what is typed is stored when the hand rests, and kept until it is answered', async () => {
  const typing = fresh();
  typing.type('a', typed('x', 'g'));
  await vi.advanceTimersByTimeAsync(500);
  typing.type('a', typed('xy', 'g'));
  await vi.advanceTimersByTimeAsync(600);
  expect(sent).toHaveLength(0);
  expect(said(places.a)).toBe('xy');
  await vi.advanceTimersByTimeAsync(200);
  expect(sent.map(said)).toEqual(['xy']);
  expect(places).toEqual({});
});

test('a window that is loaded again has what was typed, over the version it was typed over', async () => {
  fresh().type('a', typed('x', 'g'));
  window.dispatchEvent(new Event('pagehide'));
  version = 9;
  const again = fresh();
  expect(said(places.a)).toBe('x');
  again.storeAll();
  await vi.advanceTimersByTimeAsync(0);
  expect(sent[0]).toMatchObject({ madeOn: 3, gesture: 'g' });
  await vi.advanceTimersByTimeAsync(300);
  expect(sessionStorage.getItem(KEY)).toBeNull();
});

test('what was not heard is sent again, with what was typed since', async () => {
  answer = () => Promise.resolve(new RequestFailed(undefined, 0));
  const typing = fresh();
  typing.type('a', typed('x', 'g'));
  typing.store('a');
  await vi.advanceTimersByTimeAsync(0);
  typing.type('a', typed('xy', 'g'));
  expect(places.a?.wrong?.kind).toBe('failed');
  answer = () => Promise.resolve(null);
  await vi.advanceTimersByTimeAsync(800);
  expect(sent.map(said)).toEqual(['x', 'xy']);
  expect(places).toEqual({});
});

test('another run of keys is an edit of its own, and follows when the one before it is answered', async () => {
  let go: (failed: null) => void = () => undefined;
  answer = () => new Promise((resolve) => (go = resolve));
  const typing = fresh();
  typing.type('a', typed('x', 'g'));
  typing.type('a', typed('xy', 'h'));
  typing.store('a');
  answer = () => Promise.resolve(null);
  go(null);
  await vi.advanceTimersByTimeAsync(0);
  expect(sent.map((s) => [said(s), s.gesture])).toEqual([
    ['x', 'g'],
    ['xy', 'h'],
  ]);
});

test('a clash waits for a decision while typing goes on; what else is refused is tried when it is mended', async () => {
  answer = () => Promise.resolve(new RequestFailed({ detail: 'Meanwhile.' }, 409));
  const typing = fresh();
  typing.type('a', typed('x', 'g'));
  typing.store('a');
  await vi.advanceTimersByTimeAsync(0);
  typing.type('a', typed('xy', 'g'));
  await vi.advanceTimersByTimeAsync(2000);
  expect(sent).toHaveLength(1);
  expect(places.a).toMatchObject({ wrong: { kind: 'clash', said: 'Meanwhile.' } });
  version = 5;
  answer = () => Promise.resolve(new RequestFailed({ detail: 'Too long.' }, 400));
  typing.keepMine('a');
  await vi.advanceTimersByTimeAsync(0);
  expect(sent[1]).toMatchObject({ madeOn: 5 });
  expect(places.a).toMatchObject({ wrong: { kind: 'refused', said: 'Too long.' } });
  answer = () => Promise.resolve(null);
  typing.type('a', typed('y', 'g'));
  await vi.advanceTimersByTimeAsync(800);
  expect(places).toEqual({});
});

test('a place that is not left is not stored, and what is typed on while it is on its way stays', async () => {
  let go: (failed: null) => void = () => undefined;
  answer = () => new Promise((resolve) => (go = resolve));
  const typing = fresh();
  const type = (text: string) => typing.type('a', { edit: css(text), name: 'Overrides' });
  type('x');
  await vi.advanceTimersByTimeAsync(2000);
  expect(sent).toHaveLength(0);
  typing.store('a');
  type('xy');
  go(null);
  await vi.advanceTimersByTimeAsync(2000);
  expect(sent.map(said)).toEqual(['x']);
  expect(said(places.a)).toBe('xy');
  // The connection is back: what is still being typed is not meant yet.
  typing.storeAll();
  expect(sent.map(said)).toEqual(['x']);
  typing.store('a');
  expect(sent.map(said)).toEqual(['x', 'xy']);
});

test('what is given up while something typed before is on its way gives that back, with what becomes of it', async () => {
  let go: (failed: RequestFailed | null) => void = () => undefined;
  answer = () => new Promise((resolve) => (go = resolve));
  const typing = fresh();
  const type = (text: string) => typing.type('a', { edit: css(text), name: 'Overrides' });
  type('x');
  typing.store('a');
  type('xy');
  typing.takeStored('a');
  expect(said(places.a)).toBe('x');
  go(new RequestFailed({ detail: 'Meanwhile.' }, 409));
  await vi.advanceTimersByTimeAsync(0);
  expect(places.a).toMatchObject({ edit: css('x'), wrong: { kind: 'clash' } });
});

test('what is given up without a connection gives back what was left there before, which is stored later', async () => {
  answer = () => Promise.resolve(new RequestFailed(undefined, 0));
  const typing = fresh();
  const type = (text: string) => typing.type('a', { edit: css(text), name: 'Overrides' });
  type('x');
  typing.store('a');
  await vi.advanceTimersByTimeAsync(0);
  type('xy');
  type('xyz');
  typing.takeStored('a');
  expect(said(places.a)).toBe('x');
  await vi.advanceTimersByTimeAsync(0);
  answer = () => Promise.resolve(null);
  typing.storeAll();
  await vi.advanceTimersByTimeAsync(0);
  expect(sent.at(-1) && said(sent.at(-1))).toBe('x');
  expect(places).toEqual({});
});

test('what is being typed when an answer fails is not sent again by itself', async () => {
  let go: (failed: RequestFailed | null) => void = () => undefined;
  answer = () => new Promise((resolve) => (go = resolve));
  const typing = fresh();
  const type = (text: string) => typing.type('a', { edit: css(text), name: 'Overrides' });
  type('x');
  typing.store('a');
  type('xy');
  go(new RequestFailed(undefined, 0));
  await vi.advanceTimersByTimeAsync(10_000);
  expect(sent.map(said)).toEqual(['x']);
  expect(said(places.a)).toBe('xy');
});

test('what a window kept before it knew of places that are left is sent as it stands', async () => {
  const old = { edit: css('x'), name: 'Overrides', gesture: 'g', madeOn: 3, at: '/', wrong: null };
  sessionStorage.setItem(KEY, JSON.stringify({ a: old }));
  const typing = fresh();
  expect(places.a).toEqual({ ...old, left: true, over: null });
  typing.type('a', { edit: css('xy'), name: 'Overrides' });
  typing.takeStored('a');
  await vi.advanceTimersByTimeAsync(0);
  expect(sent.map(said)).toEqual(['x']);
  expect(places).toEqual({});
});
