import type { Schemas } from '../../api/client';

type Place = Schemas['PairPlaceView'];

interface Props {
  /** What is shown there, for labels. */
  what: string;
  places: readonly Place[];
  onShow: (place: Place) => void;
}

/** Places on pages, each of which shows itself on the stage. */
export function PlaceButtons({ what, places, onShow }: Props) {
  return (
    <span className="pair-pages">
      {places.map((place, i) => (
        <button
          key={`${place.page} ${place.block} ${place.width} ${place.dark}`}
          type="button"
          className="pair-place"
          aria-label={`Show ${what} on ${called(places, i)}`}
          onClick={() => onShow(place)}
        >
          {called(places, i)}
        </button>
      ))}
    </span>
  );
}

/** A place by its page, numbered where a page has more than one; of what was measured by its width. */
function called(places: readonly Place[], i: number): string {
  const page = places[i]?.pageName ?? '';
  if (places[i]?.spot) return `${page} ${places[i].width}${places[i].dark ? ', dark' : ''}`;
  const same = places.filter((p) => p.pageName === page);
  return same.length === 1 ? page : `${page} ${places.slice(0, i + 1).filter((p) => p.pageName === page).length}`;
}
