import { expect, test } from 'vitest';
import type { CatalogueView, SiteView } from '../api/client';
import { findPlaces, placesOf } from './places';

const property = (id: string, name: string) => ({ setting: { id, name } });
const site = {
  pages: [{ id: 'home', name: 'Home', slug: 'index' }],
  things: {
    color: [{ id: 'beet', name: 'beet' }],
    textStyle: [{ id: 'lead', name: 'Lead' }],
    family: [{ id: 'text', name: 'Figtree' }],
  },
  schemes: [{ id: 'day', name: 'Day', roles: [{ id: 'action', name: 'action' }] }],
  space: { measures: [] },
  menus: [{ id: 'main', name: 'Main' }],
  looks: [
    { id: 'button-filled', part: 'button', name: 'Filled' },
    { id: 'button-plain', part: 'button', name: 'Plain' },
    { id: 'card-standard', part: 'card', name: 'Standard' },
  ],
} as unknown as SiteView;
const catalogue = {
  parts: [
    { id: 'button', name: 'Button', properties: [property('padding', 'Padding'), property('radius', 'Radius')] },
    { id: 'card', name: 'Card', properties: [property('padding', 'Padding')] },
  ],
} as unknown as CatalogueView;
const find = (typed: string) => findPlaces(placesOf(site, catalogue, true), typed, 20).map((p) => `${p.name} (${p.where})`);

test('every kind of place is found by its name', () => {
  expect(find('home')).toEqual(['Home (Page)']);
  expect(find('specimen')).toEqual(['Specimen (Page)']);
  expect(find('lead')).toEqual(['Lead (Text style)']);
  expect(find('figtree')).toEqual(['Figtree (Family)']);
  expect(find('main')).toEqual(['Main (Menu)']);
  expect(find('beet')).toEqual(['beet (Colour)']);
  expect(find('action')).toEqual(['action (Role · Day)']);
  expect(find('plain')).toEqual(['Plain (Look · Button)']);
  expect(find('palette')[0]).toBe('Palette (Step · Decide)');
});

test('more words narrow it down, whatever their order', () => {
  expect(find('padding card')).toEqual(['Padding (Setting · Card)']);
  expect(find('card padding')).toEqual(['Padding (Setting · Card)']);
  expect(find('nothing like it')).toEqual([]);
});

test('what begins with it comes first', () => {
  expect(find('ca')[0]).toBe('Card (Part)');
});

test('of settings that are called alike, that of the part in hand comes first', () => {
  const first = (part: string) => findPlaces(placesOf(site, catalogue, true), 'padding', 20, part)[0]?.where;
  expect([first('button'), first('card')]).toEqual(['Setting · Button', 'Setting · Card']);
});
