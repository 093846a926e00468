import { useQuery } from '@tanstack/react-query';
import { answered, api, type Schemas } from '../../api/client';
import { MendButtons, reachOfMend } from '../../readings/MendButtons';
import { useEditing } from '../../site/editingContext';
import { QueryError } from '../../ui/QueryError';
import { Waiting } from '../../ui/Waiting';

interface Props {
  pair: Schemas['PairInUseView'];
  version: number;
  onDone: () => void;
}

/** The ways to mend a pair of colours. */
export function Mends({ pair, version, onDone }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const mends = useQuery({
    queryKey: ['mends', slug, version, pair.key],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/sites/{slug}/pairs/mends', { params: { path: { slug } }, body: { version, key: pair.key }, signal })),
    retry: false,
    gcTime: 0,
  });
  if (mends.isError) return <QueryError title="No mend can be looked for" query={mends} />;
  if (!mends.data) return <Waiting rows={1} />;
  return (
    <div className="mends" role="group" aria-label={`Ways to mend ${pair.where}`}>
      {mends.data.length === 0 && (
        <p className="empty">No step of this colour nor of its ground reaches {pair.target}. Change one of them in Schemes.</p>
      )}
      <MendButtons
        mends={mends.data.map((mend) => ({
          words: mend.words,
          color: mend.hex,
          note: `${mend.ratio.toFixed(2)} · ${mend.difference.toFixed(1)} from what it is${reachOfMend(mend)}`,
          edit: mend.edit,
        }))}
        onDone={onDone}
      />
    </div>
  );
}
