import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { answered, api, type Edit, type Schemas } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { Problem } from '../../ui/Problem';
import { QueryError } from '../../ui/QueryError';
import { Waiting } from '../../ui/Waiting';
import '../../readings/readings.css';

interface Props {
  pair: Schemas['PairInUseView'];
  version: number;
  onDone: () => void;
}

/** The ways to mend a pair. What the pointer or the focus is on is shown on the stage; a press makes it. */
export function Mends({ pair, version, onDone }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const { attempt, cancelTrial, make } = useTrial();
  const [problem, setProblem] = useState<string | null>(null);
  const mends = useQuery({
    queryKey: ['mends', slug, version, pair.key],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/sites/{slug}/pairs/mends', { params: { path: { slug } }, body: { version, key: pair.key }, signal })),
    retry: false,
    gcTime: 0,
  });
  const take = async (edit: Edit) => {
    const wrong = await make(edit, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onDone();
  };
  if (mends.isError) return <QueryError title="No mend can be looked for" query={mends} />;
  if (!mends.data) return <Waiting rows={1} />;
  return (
    <div className="mends" role="group" aria-label={`Ways to mend ${pair.where}`}>
      {mends.data.length === 0 && (
        <p className="empty">No step of this colour nor of its ground reaches {pair.target}. Change one of them in Schemes.</p>
      )}
      {mends.data.map((mend) => (
        <Button
          key={mend.words}
          className="mend"
          onPointerEnter={() => attempt(mend.edit)}
          onPointerLeave={cancelTrial}
          onFocus={() => attempt(mend.edit)}
          onBlur={cancelTrial}
          onClick={() => void take(mend.edit)}
        >
          <span className="swatch" style={{ background: mend.hex }} /> {mend.words}
          <br />
          <span className="quiet">
            {mend.ratio.toFixed(2)} · {mend.difference.toFixed(1)} from what it is{mend.mended > 1 && ` · mends ${mend.mended}`}
            {mend.broken > 0 && ` · breaks ${mend.broken}`}
          </span>
        </Button>
      ))}
      <Problem text={problem} />
    </div>
  );
}
