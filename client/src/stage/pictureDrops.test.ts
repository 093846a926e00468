import { expect, test } from 'vitest';
import type { CatalogueView, SiteView } from '../api/client';
import type { Block } from '../site/outline';
import { landingOn } from './usePictureDrops';

const block = (id: string, part: string, ...blocks: Block[]) => ({ id, part, blocks }) as unknown as Block;

// A section holds texts, cards and pictures; a card has a place for a picture of its own, and holds more.
const catalogue = {
  parts: [{ id: 'card', slots: [{ id: 'picture', kind: 'picture' }] }],
  refusals: {
    '': { picture: 'no', card: 'no', text: 'no' },
    section: {},
    card: {},
    text: { picture: 'no' },
    header: {},
    footer: { picture: 'no' },
  },
} as unknown as CatalogueView;

const site = {
  frame: { header: block('header', 'header'), footer: block('footer', 'footer') },
  pages: [
    { id: 'home', sections: [block('s', 'section', block('t', 'text'), block('c', 'card'))] },
    { id: 'empty', sections: [] },
  ],
} as unknown as SiteView;

const spot = (page: string, id: string | null, fresh = false) => {
  const landing = landingOn(catalogue, site, page, id, fresh);
  return typeof landing === 'string' ? landing : [landing.spot.parent, landing.spot.at, landing.on];
};

test('a picture comes into the place for one, else into what holds it, else after it', () => {
  expect(landingOn(catalogue, site, 'home', 'c')).toEqual({ spot: { block: 'c' }, on: 'c' });
  expect(spot('home', 'c', true)).toEqual(['c', 0, 'c']);
  expect(spot('home', 't')).toEqual(['s', 1, 't']);
  expect(spot('home', 's')).toEqual(['s', 2, 's']);
  expect(spot('home', 'header')).toEqual(['header', 0, 'header']);
});

test('beside all blocks it comes to the end of the page, and where nothing can hold it that is said', () => {
  expect(spot('home', null)).toEqual(['s', 2, 's']);
  expect(spot('home', 'gone')).toEqual(['s', 2, 's']);
  expect(spot('home', 'footer')).toContain('add a section first');
  expect(spot('empty', null)).toContain('add a section first');
});
