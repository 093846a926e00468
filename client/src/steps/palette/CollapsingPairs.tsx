import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answered, api, type Schemas } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { useStageView } from '../../stage/view';
import { QueryError } from '../../ui/QueryError';
import { PlaceButtons } from './PlaceButtons';
import { Waiting } from '../../ui/Waiting';

type Collapsing = Schemas['CollapsingPairView'];

const NAMES: Record<Collapsing['kind'], string> = { protanopia: 'Protanopia', deuteranopia: 'Deuteranopia', tritanopia: 'Tritanopia' };

/** Neighbours that are one to visitors with a colour-vision deficiency, at the severity the stage shows. */
export function CollapsingPairs() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const [view, show] = useStageView();
  const severity = Number(view.severity) / 100;
  const pairs = useQuery({
    queryKey: ['collapsing', slug, version, severity],
    queryFn: () => answered(api.GET('/api/sites/{slug}/pairs/collapsing', { params: { path: { slug }, query: { severity } } })),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
  if (pairs.isError) return <QueryError title="What collapses cannot be computed" query={pairs} />;
  if (!pairs.data) return <Waiting />;
  if (pairs.data.length === 0) return <p className="empty">No two neighbours are told apart by a hue alone.</p>;
  return (
    <ul className="pair-rows" aria-label="Neighbours that collapse">
      {pairs.data.map((pair) => (
        <li key={`${pair.kind} ${pair.name} ${pair.scheme} ${pair.hexes.join()}`} className="collapsing">
          <span className="pair-where">
            {[...pair.hexes, ...pair.seen].map((hex, i) => (
              <span key={i} className="seen-swatch" style={{ background: hex }} />
            ))}{' '}
            {pair.name}{' '}
            <span className="quiet">
              {pair.scheme} · {NAMES[pair.kind]} · {pair.seenDifference.toFixed(1)} apart instead of {pair.difference.toFixed(1)}
            </span>
          </span>
          <PlaceButtons
            what={pair.name}
            places={pair.places}
            onShow={(place) =>
              show({
                page: place.page,
                span: 'one',
                prefers: place.dark ? 'dark' : 'light',
                vision: pair.kind,
                selected: place.block,
              })
            }
          />
        </li>
      ))}
    </ul>
  );
}
