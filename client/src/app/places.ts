import type { CatalogueView, SiteView } from '../api/client';
import type { Place } from '../site/step';
import { SPECIMEN } from '../stage/view';
import { useSingleKeys } from '../ui/keys';
import { STEPS } from './steps';

/** Every step and page, and what each step says there is in it. */
export const placesOf = (site: SiteView, catalogue: CatalogueView, singleKeys: boolean): Place[] => [
  ...STEPS.map(({ id, name, move }) => ({ name, where: `Step · ${move}`, step: id, params: {} })),
  ...[...site.pages, SPECIMEN].map((page) => ({
    name: page.name,
    where: 'Page',
    step: null,
    params: { page: page.id, span: 'one' },
  })),
  ...STEPS.flatMap((step) => step.places(site, catalogue)),
  {
    name: `Turn single keys ${singleKeys ? 'off' : 'on'}`,
    where: 'Keys',
    step: null,
    params: {},
    act: () => useSingleKeys.getState().turn(!singleKeys),
  },
];

/**
 * The places whose name and kind hold every word that was typed; those whose name begins with it first, and among these what belongs to a part.
 * @param part the part in hand
 */
export function findPlaces(places: readonly Place[], typed: string, most: number, part: string | null = null): Place[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const first = words[0];
  if (first === undefined) return places.slice(0, most);
  const rank = (place: Place) => {
    const name = place.name.toLowerCase();
    return name === words.join(' ') ? 0 : name.startsWith(first) ? 1 : name.includes(first) ? 2 : 3;
  };
  return places
    .filter((place) => words.every((word) => `${place.name} ${place.where}`.toLowerCase().includes(word)))
    .map((place) => ({ place, rank: rank(place) + (part !== null && place.params.part === part ? 0 : 0.5) }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ place }) => place);
}
