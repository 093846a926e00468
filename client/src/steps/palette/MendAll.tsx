import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { answered, api } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { Problem } from '../../ui/Problem';
import { QueryError } from '../../ui/QueryError';

/** Everything that can be mended without breaking anything, on the stage before it is taken; what cannot is told. */
export function MendAll({ onClose }: { onClose: () => void }) {
  const slug = useEditing((e) => e.site.slug);
  const { attempt, cancelTrial, make } = useTrial();
  const [problem, setProblem] = useState<string | null>(null);
  const mended = useQuery({
    queryKey: ['mended', slug],
    queryFn: ({ signal }) => answered(api.POST('/api/sites/{slug}/pairs/mended', { params: { path: { slug } }, signal })),
    retry: false,
    gcTime: 0,
    staleTime: Infinity,
  });
  const edit = mended.data?.edit ?? null;
  useEffect(() => {
    if (!edit) return;
    attempt(edit);
    return cancelTrial;
  }, [edit, attempt, cancelTrial]);
  if (mended.isError) return <QueryError title="No mends can be looked for" query={mended} />;
  const data = mended.data;
  const take = async () => {
    if (!edit) return;
    const wrong = await make(edit, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onClose();
  };
  return (
    <section className="mend-all" aria-label="Mend all">
      <p role="status">
        {!data
          ? 'Looking for the nearest colours…'
          : edit
            ? `${data.mended === 1 ? '1 pair is' : `${data.mended} pairs are`} mended as the stage shows.`
            : 'Nothing can be mended without breaking something else.'}
      </p>
      {data && data.left.length > 0 && (
        <>
          <p className="quiet">Still failing then:</p>
          <ul>
            {data.left.map((name) => (
              <li key={name}>{name}</li>
            ))}
          </ul>
        </>
      )}
      <Problem text={problem} />
      <Button type="primary" size="small" disabled={!edit} onClick={() => void take()}>
        Take
      </Button>{' '}
      <Button size="small" onClick={onClose}>
        {data ? 'Leave as it is' : 'Cancel'}
      </Button>
    </section>
  );
}
