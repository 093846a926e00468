import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { FrameContent } from './content';

const page = (header: string, section: string, scheme = 'day') =>
  `<!doctype html><html data-scheme="${scheme}"><head><title>Page</title><style id="sheet" data-page="m1"></style></head><body><div class="paper"><header data-block="header">${header}</header><main><section data-block="one">${section}</section></main></div></body></html>`;

const text = (document: Document, block: string) => document.querySelector(`[data-block="${block}"]`)?.textContent;

let document: Document;
let changed: ReturnType<typeof vi.fn<() => void>>;
let content: FrameContent;

beforeEach(() => {
  document = new DOMParser().parseFromString(page('Name', 'Words'), 'text/html');
  changed = vi.fn<() => void>();
  content = new FrameContent(document, changed);
});

afterEach(() => vi.unstubAllGlobals());

const answer = (html: string, ok = true) => vi.stubGlobal('fetch', () => Promise.resolve({ ok, text: () => Promise.resolve(html) }));

test('a tried block is shown and put back as it was, with its own element', () => {
  const stored = document.querySelector('[data-block="header"]');
  content.try([{ page: 'p', block: 'header', html: '<header data-block="header">Other</header>' }]);
  expect(text(document, 'header')).toBe('Other');
  content.try([{ page: 'p', block: 'header', html: '<header data-block="header">Third</header>' }]);
  expect(text(document, 'header')).toBe('Third');
  content.try([]);
  expect(document.querySelector('[data-block="header"]')).toBe(stored);
  expect(changed).toHaveBeenCalledTimes(3);
});

test('nothing is touched where no block changed', () => {
  content.try([]);
  expect(changed).not.toHaveBeenCalled();
});

test('a page with the mark that stands here is not fetched', async () => {
  const fetched = vi.fn();
  vi.stubGlobal('fetch', fetched);
  content.try([{ page: 'p', block: 'one', html: '<section data-block="one">Tried</section>' }]);
  await content.show('m1', '/page');
  expect(fetched).not.toHaveBeenCalled();
  expect(text(document, 'one')).toBe('Words');
});

test('of a new page only what differs is taken over; forced states do not count as a difference', async () => {
  const header = document.querySelector('[data-block="header"]');
  header?.setAttribute('data-force', 'hover');
  answer(page('Name', 'New words', 'dusk'));
  await content.show('m2', '/page');
  expect(text(document, 'one')).toBe('New words');
  expect(document.querySelector('[data-block="header"]')).toBe(header);
  expect(document.documentElement.dataset.scheme).toBe('dusk');
  expect(changed).toHaveBeenCalledTimes(1);
});

test('what lies behind the page and behind its paper comes and goes', async () => {
  const fill = '<div class="fill fill-linen"><div></div></div>';
  answer(page('Name', 'Words').replace('</main></div>', `</main>${fill}</div>${fill}`));
  await content.show('m2', '/page');
  expect([...document.querySelectorAll('.fill')].map((e) => e.parentElement?.className)).toEqual(['paper', '']);
  const stood = document.querySelector('.paper > .fill');
  answer(page('Name', 'Words').replace('</main></div>', `</main>${fill}</div>`));
  await content.show('m3', '/page');
  expect([...document.querySelectorAll('.fill')]).toEqual([stood]);
});

test('a page of other blocks is taken over whole', async () => {
  answer(page('Name', 'Words').replace('</section>', '</section><section data-block="two">More</section>'));
  await content.show('m2', '/page');
  expect(text(document, 'two')).toBe('More');
});

test('of a page with more sections, those that stay keep their elements, and within them what stays as it was', async () => {
  answer(page('Name', '<p data-block="a">A</p><p data-block="b">B</p>'));
  await content.show('m2', '/page');
  const [header, one, b] = ['header', 'one', 'b'].map((id) => document.querySelector(`[data-block="${id}"]`));
  answer(
    page('Name', '<p data-block="b">B</p><p data-block="c">C</p>').replace('<main>', '<main><section data-block="zero">New</section>'),
  );
  await content.show('m3', '/page');
  expect([...document.querySelectorAll('main > *')].map((e) => e.getAttribute('data-block'))).toEqual(['zero', 'one']);
  expect(['header', 'one', 'b'].map((id) => document.querySelector(`[data-block="${id}"]`))).toEqual([header, one, b]);
  expect(text(document, 'one')).toBe('BC');
  // What is lent for telling them apart does not stay.
  expect(document.querySelectorAll('main [id]').length).toBe(0);
});

test('sections are tried in another order, with one more and one less, and put back', async () => {
  answer(page('Name', 'Words').replace('</section>', '</section><section data-block="two">More</section>'));
  await content.show('m2', '/page');
  const stood = [...document.querySelectorAll('main > *')];
  const order = () => [...document.querySelectorAll('main > *')].map((e) => e.getAttribute('data-block')).join(' ');
  content.try([], ['two', 'one']);
  expect(order()).toBe('two one');
  content.try([{ page: 'p', block: 'three', html: '<section data-block="three">New</section>' }], ['three', 'two']);
  expect(order()).toBe('three two');
  content.try([]);
  expect([...document.querySelectorAll('main > *')]).toEqual(stood);
});

test('what was asked for last is what is shown, whichever answer comes last', async () => {
  const answers: ((html: string) => void)[] = [];
  vi.stubGlobal('fetch', () => new Promise((done) => answers.push((html) => done({ ok: true, text: () => Promise.resolve(html) }))));
  const first = content.show('m2', '/page?at=2');
  const second = content.show('m3', '/page?at=3');
  answers[1]?.(page('Name', 'Third'));
  await second;
  answers[0]?.(page('Name', 'Second'));
  await first;
  expect(text(document, 'one')).toBe('Third');
});

test('a tried block stays until the stored page is there, and a page that is gone changes nothing', async () => {
  content.try([{ page: 'p', block: 'one', html: '<section data-block="one">Tried</section>' }]);
  answer('', false);
  await content.show('m2', '/page');
  expect(text(document, 'one')).toBe('Tried');
  answer(page('Name', 'Stored'));
  await content.show('m3', '/page');
  expect(text(document, 'one')).toBe('Stored');
});

test('without a connection what stands here stays, and is asked for again', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
  expect(await content.show('m2', '/page')).toBe(false);
  expect(text(document, 'one')).toBe('Words');
  answer(page('Name', 'Fresh'));
  expect(await content.show('m2', '/page')).toBe(true);
  expect(text(document, 'one')).toBe('Fresh');
});
