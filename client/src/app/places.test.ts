import { expect, test } from 'vitest';
import type { SiteView } from '../api/client';
import { findPlaces, placesOf } from './places';

const property = (id: string, name: string) => ({ id, name, group: '', kind: 'length', sameInAllStates: false, names: [] });
const site = {
  pages: [{ id: 'home', name: 'Home', slug: 'index' }],
  colors: [{ id: 'beet', name: 'beet' }],
  schemes: [{ id: 'day', name: 'Day', roles: [{ id: 'action', name: 'action' }] }],
  type: { styles: [{ id: 'lead', name: 'Lead' }], families: [{ id: 'text', name: 'Figtree' }] },
  menus: [{ id: 'main', name: 'Main' }],
  parts: [
    {
      id: 'button',
      name: 'Button',
      looks: [
        { id: 'button-filled', name: 'Filled' },
        { id: 'button-plain', name: 'Plain' },
      ],
      properties: [property('padding', 'Padding'), property('radius', 'Radius')],
    },
    { id: 'card', name: 'Card', looks: [{ id: 'card-standard', name: 'Standard' }], properties: [property('padding', 'Padding')] },
  ],
} as unknown as SiteView;
const find = (typed: string) => findPlaces(placesOf(site), typed, 20).map((p) => `${p.name} (${p.where})`);

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
