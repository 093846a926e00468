import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useEditing } from '../site/editingContext';
import { QueryError } from '../ui/QueryError';
import { Waiting } from '../ui/Waiting';
import { MendButtons, reachOfMend } from './MendButtons';

interface Props {
  /** What asks for it. */
  pair: string;
  version: number;
  onDone: () => void;
}

/** The faintest veil with which a text over a fill can be read. */
export function VeilOffer({ pair, version, onDone }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const veil = useQuery({
    queryKey: ['veil', slug, version, pair],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/sites/{slug}/pairs/veil', { params: { path: { slug } }, body: { version, key: pair }, signal })),
    retry: false,
    gcTime: 0,
  });
  if (veil.isError) return <QueryError title="No veil can be looked for" query={veil} />;
  if (!veil.data) return <Waiting rows={1} />;
  const { mend, why } = veil.data;
  if (!mend) return <p className="empty">{why}</p>;
  return (
    <div className="mends">
      <MendButtons mends={[{ ...mend, note: `${mend.ratio.toFixed(2)} at the worst spot${reachOfMend(mend)}` }]} onDone={onDone} />
    </div>
  );
}
