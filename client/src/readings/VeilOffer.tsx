import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { answered, api, type Edit } from '../api/client';
import { useEditing } from '../site/editingContext';
import { useTrial } from '../site/useTrial';
import { Problem } from '../ui/Problem';
import { QueryError } from '../ui/QueryError';
import { Waiting } from '../ui/Waiting';
import './readings.css';

interface Props {
  /** What asks for it. */
  pair: string;
  version: number;
  onDone: () => void;
}

/** The faintest veil with which a text over a fill can be read: shown on the stage while it is pointed at, taken with a press. */
export function VeilOffer({ pair, version, onDone }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const { attempt, cancelTrial, make } = useTrial();
  const [problem, setProblem] = useState<string | null>(null);
  const veil = useQuery({
    queryKey: ['veil', slug, version, pair],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/sites/{slug}/pairs/veil', { params: { path: { slug } }, body: { version, key: pair }, signal })),
    retry: false,
    gcTime: 0,
  });
  const take = async (edit: Edit) => {
    const wrong = await make(edit, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onDone();
  };
  if (veil.isError) return <QueryError title="No veil can be looked for" query={veil} />;
  if (!veil.data) return <Waiting rows={1} />;
  const { mend, why } = veil.data;
  if (!mend) return <p className="empty">{why}</p>;
  return (
    <div className="mends">
      <Button
        className="mend"
        onPointerEnter={() => attempt(mend.edit)}
        onPointerLeave={cancelTrial}
        onFocus={() => attempt(mend.edit)}
        onBlur={cancelTrial}
        onClick={() => void take(mend.edit)}
      >
        <span className="swatch" style={{ background: mend.color }} /> {mend.words}
        <br />
        <span className="quiet">
          {mend.ratio.toFixed(2)} at the worst spot{mend.mended > 1 && ` · mends ${mend.mended}`}
          {mend.broken > 0 && ` · breaks ${mend.broken}`}
        </span>
      </Button>
      <Problem text={problem} />
    </div>
  );
}
