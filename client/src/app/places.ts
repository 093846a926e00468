import type { SiteView } from '../api/client';
import { SPECIMEN } from '../stage/view';
import { COURSE } from './steps';

/** Somewhere in a site that can be jumped to. */
export interface Place {
  name: string;
  /** What kind of thing it is, and where it belongs. */
  where: string;
  step: string | null;
  params: Record<string, string>;
}

/** Every step, page, colour, scheme, role, text style, family, menu, part, look and setting of a site. */
export function placesOf(site: SiteView): Place[] {
  const places: Place[] = COURSE.flatMap(({ move, steps }) =>
    steps.map((s) => ({ name: s.name, where: `Step · ${move}`, step: s.id, params: {} })),
  );
  for (const page of [...site.pages, SPECIMEN])
    places.push({ name: page.name, where: 'Page', step: null, params: { page: page.id, span: 'one' } });
  for (const color of site.colors)
    places.push({ name: color.name, where: 'Colour', step: 'palette', params: { view: 'colours', color: color.id } });
  for (const scheme of site.schemes) {
    const params = { view: 'schemes', scheme: scheme.id };
    places.push({ name: scheme.name, where: 'Scheme', step: 'palette', params });
    for (const role of scheme.roles) places.push({ name: role.name, where: `Role · ${scheme.name}`, step: 'palette', params });
  }
  for (const style of site.type.styles)
    places.push({ name: style.name, where: 'Text style', step: 'type', params: { view: 'styles', style: style.id } });
  for (const family of site.type.families) places.push({ name: family.name, where: 'Family', step: 'type', params: { view: 'families' } });
  for (const menu of site.menus) places.push({ name: menu.name, where: 'Menu', step: 'frame', params: { view: 'menus' } });
  for (const part of site.parts) {
    const first = part.looks[0];
    if (!first) continue;
    places.push({ name: part.name, where: 'Part', step: 'parts', params: { part: part.id, look: first.id } });
    if (part.looks.length > 1)
      for (const look of part.looks)
        places.push({ name: look.name, where: `Look · ${part.name}`, step: 'parts', params: { part: part.id, look: look.id } });
    for (const property of part.properties)
      places.push({
        name: property.name,
        where: `Setting · ${part.name}`,
        step: 'parts',
        params: { part: part.id, look: first.id, setting: property.id },
      });
  }
  return places;
}

/** The places whose name and kind hold every word that was typed; those whose name begins with it first. */
export function findPlaces(places: readonly Place[], typed: string, most: number): Place[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const first = words[0];
  if (first === undefined) return places.slice(0, most);
  const rank = (place: Place) => {
    const name = place.name.toLowerCase();
    return name === words.join(' ') ? 0 : name.startsWith(first) ? 1 : name.includes(first) ? 2 : 3;
  };
  return places
    .filter((place) => words.every((word) => `${place.name} ${place.where}`.toLowerCase().includes(word)))
    .map((place) => ({ place, rank: rank(place) }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ place }) => place);
}
