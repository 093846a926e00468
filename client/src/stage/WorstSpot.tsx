import { useEffect } from 'react';
import { useEditing } from '../site/editingContext';
import { useSpot, type Spot } from './spot';
import { useFollowed } from './useFollowed';
import './WorstSpot.css';

interface Props {
  page: Document;
  id: string;
  width: number;
  scale: number;
}

/** The place where a text reads worst, ringed on the page that shows it. */
export function WorstSpot({ page, id, width, scale }: Props) {
  const spot = useSpot((s) => s.spot);
  const version = useEditing((e) => e.site.version);
  if (!spot || spot.page !== id || spot.width !== width || spot.version !== version) return null;
  return <Ring key={`${spot.x} ${spot.y} ${spot.says}`} page={page} spot={spot} scale={scale} />;
}

function Ring({ page, spot, scale }: { page: Document; spot: Spot; scale: number }) {
  const { left, top } = useFollowed(page.documentElement, originOf);
  useEffect(() => {
    const view = page.defaultView;
    if (!view) return;
    // What stands still or goes slower shows its worst only there; anything else where it comes to be in sight.
    if (spot.scroll !== null) view.scrollTo(0, spot.scroll);
    else if (spot.y < view.scrollY || spot.y > view.scrollY + view.innerHeight) view.scrollTo(0, spot.y - view.innerHeight / 2);
  }, [page, spot]);
  return (
    <div
      className={spot.x > page.documentElement.clientWidth / 2 ? 'worst-spot before' : 'worst-spot'}
      role="status"
      style={{ left: (left + spot.x) * scale, top: (top + spot.y) * scale }}
    >
      <span>{spot.says}</span>
    </div>
  );
}

const originOf = (root: HTMLElement) => root.getBoundingClientRect();
