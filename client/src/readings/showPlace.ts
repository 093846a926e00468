import type { Schemas } from '../api/client';
import { useEditing } from '../site/editingContext';
import { useSpot } from '../stage/spot';
import { useStageView, widthWithin } from '../stage/view';

type Place = Schemas['PairPlaceView'];

/** Shows on the stage where a pair is met, in its state; of what was measured, the spot where it reads worst. */
export function useShowPlace(): (place: Place, state: Schemas['State']) => void {
  const [view, show] = useStageView();
  const version = useEditing((e) => e.site.version);
  const point = useSpot((s) => s.point);
  return (place, state) => {
    const { spot } = place;
    const width = widthWithin(place.width, null, spot ? place.width : view.width);
    point(
      spot
        ? { page: place.page, width, x: spot.x, y: spot.y, scroll: spot.scroll, says: `worst spot ${spot.ratio.toFixed(2)} : 1`, version }
        : null,
    );
    show({ page: place.page, span: 'one', width, show: state, prefers: place.dark ? 'dark' : 'light', selected: place.block });
  };
}
