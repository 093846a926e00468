import { beforeEach, expect, test, vi } from 'vitest';
import type { CatalogueView, Edit, SheetView, SiteView } from '../api/client';
import { createEditing, type EditingStore } from './editing';
import type { TrialResult } from './live';
import type { EditAnswer } from './requests';

const heard: { onVersion?: (version: number, window: string | null) => void; onConnected?: (connected: boolean) => void } = {};
const trials: { version: number; pages: string[] }[] = [];
let trial: () => Promise<Partial<TrialResult>> = () => Promise.resolve({});

vi.mock('./live', () => ({
  openLive: (_slug: string, handlers: typeof heard) => {
    Object.assign(heard, handlers);
    return {
      tryEdit: (request: { version: number; pages: string[] }) => {
        trials.push(request);
        return trial();
      },
      close: () => undefined,
    };
  },
}));

vi.mock('../api/client', async (original) => {
  const asked = (path: string, init: { body?: Record<string, unknown> }) => {
    const { status, body } = server(path, init.body ?? null);
    return Promise.resolve(status === 200 ? { data: body, response: { status } } : { error: body, response: { status } });
  };
  return { ...(await original<object>()), api: { GET: asked, POST: asked } };
});

const site = (version: number, css = '') => ({ slug: 's', version, overrides: { css, problems: [] } }) as unknown as SiteView;
const sheet = (version: number): SheetView => ({ version, head: `v${version}`, layers: [], rules: [], overrides: '', pages: {} });
const history = { undo: null, redo: null, last: null };
const opened = (version: number) => ({ site: site(version), sheet: sheet(version), history });
const made = (from: number): EditAnswer => ({
  from,
  version: from + 1,
  changes: [{ path: '/version', value: from + 1, order: null }],
  sheet: { head: `v${from + 1}`, rules: [], order: null, overrides: null, pages: {}, gone: [] },
  history: { undo: 'something', redo: null, last: 'something' },
});
const edit: Edit = { kind: 'setOverrides', css: 'a {}' };
const hand = {};
const answerOf = (version: number) => ({
  version,
  rules: [],
  sheet: null,
  overrides: null,
  problems: null,
  colors: [],
  gradients: [],
  backgrounds: [],
  pictures: [],
  blocks: [],
  orders: [],
});

let store: EditingStore;
let server: (path: string, body: Record<string, unknown> | null) => { status: number; body: unknown };

beforeEach(() => {
  trials.length = 0;
  trial = () => Promise.resolve({ answer: answerOf(0), problems: [], coreTime: 1 });
  store = createEditing(opened(0), {} as CatalogueView, 0);
  store.getState().connect();
});

const settled = () => vi.waitFor(() => expect(store.getState().pending).toBe(0));

test('what is shown first is tried once, until it is stored or refused', async () => {
  let answer: (status: number, body: unknown) => void = () => undefined;
  const asked = new Promise<{ status: number; body: unknown }>((resolve) => (answer = (status, body) => resolve({ status, body })));
  server = () => ({ status: 200, body: asked.then((a) => a.body) });
  const { make } = store.getState();
  const done = make(edit, { owner: hand, isShownFirst: true });
  await vi.waitFor(() => expect(store.getState().trial).not.toBeNull());
  answer(200, made(0));
  server = () => ({ status: 200, body: made(0) });
  expect(await done).toBeNull();
  expect(store.getState().trial).toBeNull();
  expect(trials.length).toBe(1);
  server = () => ({ status: 400, body: { detail: 'It cannot be.' } });
  expect(await make(edit, { owner: hand, isShownFirst: true, saidAtItsPlace: true })).toBe('It cannot be.');
  await settled();
  expect(store.getState().trial).toBeNull();
});

test('a trial names the version and the pages on stage, each once', async () => {
  const { watch, attempt } = store.getState();
  watch('home');
  const leave = watch('guide');
  watch('home');
  attempt(edit, hand);
  await settled();
  expect(trials).toEqual([{ version: 0, edit, pages: ['home', 'guide'] }]);
  leave();
  attempt(edit, hand);
  await settled();
  expect(trials[1]?.pages).toEqual(['home']);
  expect(store.getState().trial).not.toBeNull();
});

test('a trial that is refused says why and leaves what is shown', async () => {
  trial = () => Promise.resolve({ answer: null, problems: [{ path: '/css', message: 'Not like this.' }], isOutdated: false });
  store.getState().attempt(edit, hand);
  await settled();
  expect(store.getState()).toMatchObject({ refused: { owner: hand, said: 'Not like this.' }, trial: null, trouble: null });
});

test('a lost connection brings back what is stored, says nothing of its own, and tries again when it is back', async () => {
  store.getState().attempt(edit, hand);
  await settled();
  heard.onConnected?.(false);
  trial = () => Promise.reject(new Error('gone'));
  store.getState().attempt(edit, hand);
  await settled();
  expect(store.getState()).toMatchObject({ trouble: null });
  trial = () => Promise.resolve({ answer: answerOf(0), problems: [], coreTime: 1 });
  heard.onConnected?.(true);
  await settled();
  expect(store.getState().trial).not.toBeNull();
});

test('a trial ends with its owner, and with nobody else', async () => {
  store.getState().attempt(edit, hand);
  await settled();
  store.getState().cancelTrial({});
  expect(store.getState().trial).not.toBeNull();
  server = (_path, body) => ({ status: 200, body: made(Number(body?.version)) });
  trial = () => Promise.resolve({ answer: answerOf(store.getState().site.version), problems: [], coreTime: 1 });
  // An edit of another hand: the site it leads to is tried again.
  await store.getState().make(edit, { owner: {} });
  await settled();
  expect(trials.map((t) => t.version)).toEqual([0, 1]);
  expect(store.getState().trial?.version).toBe(1);
  await store.getState().make(edit, { owner: hand });
  await settled();
  expect(store.getState().trial).toBeNull();
  expect(trials).toHaveLength(2);
});

test('what is tried once more while it is being stored is not tried any longer once it is', async () => {
  server = (_path, body) => ({ status: 200, body: made(Number(body?.version)) });
  trial = () => Promise.resolve({ answer: answerOf(store.getState().site.version), problems: [], coreTime: 1 });
  store.getState().type('place', { edit, name: 'Overrides', tried: false });
  store.getState().storeTyped('place');
  store.getState().attempt(edit, 'place');
  await settled();
  expect(store.getState()).toMatchObject({ typed: {}, trial: null });
  const asked = trials.length;
  heard.onConnected?.(true);
  await settled();
  expect(trials).toHaveLength(asked);
});

test('an answer for a site that has changed meanwhile is not shown, and tried again', async () => {
  let answer: (result: Partial<TrialResult>) => void = () => undefined;
  trial = () => new Promise((resolve) => (answer = resolve));
  server = () => ({ status: 200, body: opened(4) });
  store.getState().attempt(edit, hand);
  heard.onVersion?.(4, 'elsewhere');
  await vi.waitFor(() => expect(store.getState().site.version).toBe(4));
  answer({ answer: answerOf(0), problems: [] });
  await vi.waitFor(() => expect(trials).toHaveLength(2));
  expect(store.getState().trial).toBeNull();
  answer({ answer: answerOf(4), problems: [] });
  await settled();
  expect(store.getState().trial?.version).toBe(4);
});

test('edits follow each other, each on the version before', async () => {
  const versions: unknown[] = [];
  server = (_path, body) => {
    versions.push(body?.version);
    return { status: 200, body: made(Number(body?.version)) };
  };
  const done = await Promise.all([store.getState().make(edit), store.getState().make(edit), store.getState().make(edit)]);
  expect(done).toEqual([null, null, null]);
  expect(versions).toEqual([0, 1, 2]);
  expect(store.getState().site.version).toBe(3);
  expect(store.getState()).toMatchObject({ sheet: { version: 3, generated: 'v3' }, history: { undo: 'something' } });
});

test('an edit that is refused resolves to the reason and changes nothing', async () => {
  server = () => ({ status: 400, body: { detail: 'It is taken.' } });
  expect(await store.getState().make(edit)).toBe('It is taken.');
  expect(store.getState()).toMatchObject({ trouble: 'It is taken.', saving: 0, pending: 0 });
  store.getState().forgetTrouble();
  await store.getState().make(edit, { saidAtItsPlace: true });
  expect(store.getState().trouble).toBeNull();
  expect(store.getState().site.version).toBe(0);
});

test('a conflict is said, and the site is read as it is now', async () => {
  server = (path, body) => {
    if (body) return { status: 409, body: { detail: 'Meanwhile, in another window: beet → red.' } };
    return { status: 200, body: path.endsWith('{slug}') ? opened(5) : null };
  };
  expect(await store.getState().make(edit)).toContain('another window');
  await settled();
  expect(store.getState().site.version).toBe(5);
  expect(store.getState().trouble).toContain('another window');
});

test('what another window did is taken over, once, and nothing older than what is here', async () => {
  let reads = 0;
  server = () => {
    reads++;
    return { status: 200, body: opened(4) };
  };
  heard.onVersion?.(3, 'elsewhere');
  heard.onVersion?.(4, 'elsewhere');
  await vi.waitFor(() => expect(store.getState().sheet.version).toBe(4));
  expect(reads).toBe(1);
  heard.onVersion?.(2, 'elsewhere');
  await new Promise((go) => setTimeout(go, 0));
  expect(reads).toBe(1);
});

test('an edit made on what others have changed meanwhile is met with the whole site', async () => {
  server = (_path, body) => ({ status: 200, body: body ? made(7) : opened(8) });
  expect(await store.getState().make(edit)).toBeNull();
  expect(store.getState().site.version).toBe(8);
  expect(store.getState().sheet.version).toBe(8);
});

test('branches that are as they were keep their identity', async () => {
  const before = store.getState().site.overrides;
  server = (_path, body) => ({ status: 200, body: made(Number(body?.version)) });
  await store.getState().make(edit);
  expect(store.getState().site.overrides).toBe(before);
  server = () => ({ status: 200, body: opened(9) });
  heard.onVersion?.(9, 'elsewhere');
  await vi.waitFor(() => expect(store.getState().site.version).toBe(9));
  expect(store.getState().site.overrides).toBe(before);
});

test('whether the server is heard is known', () => {
  heard.onConnected?.(false);
  expect(store.getState().connected).toBe(false);
  heard.onConnected?.(true);
  expect(store.getState().connected).toBe(true);
});

test('the stage as it was is shown while it is asked for, and no longer', async () => {
  server = () => ({ status: 200, body: sheet(0) });
  store.getState().showBefore('name');
  await vi.waitFor(() => expect(store.getState().before?.since).toBe('name'));
  store.getState().showBefore(null);
  expect(store.getState().before).toBeNull();
  // An answer that comes after the key was let go is not shown.
  store.getState().showBefore('edit');
  store.getState().showBefore(null);
  await new Promise((go) => setTimeout(go, 10));
  expect(store.getState().before).toBeNull();
});
