import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect } from 'react';
import { answered, api } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { useMeasuredPages } from '../../site/measuredPages';
import { useStageView } from '../../stage/view';
import { QueryError } from '../../ui/QueryError';

const percent = (share: number) => `${(share * 100).toFixed(share > 0 && share < 0.1 ? 1 : 0)} %`;

/** How much of each page wears a border, as the stage measured it. */
export function WornPanel() {
  const pages = useEditing((e) => e.site.pages);
  const measured = Object.values(useMeasuredPages((m) => m.pages)).filter((m) => pages.some((p) => p.id === m.page));
  const want = useMeasuredPages((m) => m.want);
  useEffect(() => {
    want(true);
    return () => want(false);
  }, [want]);
  const [view, change] = useStageView();
  const shares = useQuery({
    queryKey: ['border shares', measured],
    queryFn: () => answered(api.POST('/api/edges/figures', { body: { pages: measured } })),
    placeholderData: keepPreviousData,
    enabled: measured.length > 0,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const missing = pages.filter((p) => !measured.some((m) => m.page === p.id && m.width === view.width));
  return (
    // Long lists scroll, and are reached by key.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="scroll" tabIndex={0} role="group" aria-label="How much wears a border">
      <p className="hint">{shares.data?.practice ?? 'How much of each page wears a border, as the stage measures it.'}</p>
      {shares.isError && <QueryError title="The shares could not be computed" query={shares} />}
      <table className="values worn" aria-label="How much wears a border">
        <thead>
          <tr>
            <th scope="col">Page</th>
            <th scope="col">at</th>
            <th scope="col">Elements</th>
            <th scope="col">Of all elements</th>
            <th scope="col" title="What lines enclose on every side">
              Of the area
            </th>
          </tr>
        </thead>
        <tbody>
          {pages.flatMap((page) =>
            (shares.data?.pages ?? [])
              .filter((s) => s.page === page.id)
              .sort((a, b) => a.width - b.width)
              .map((s) => (
                <tr key={`${s.page} ${s.width}`}>
                  <th scope="row">{page.name}</th>
                  <td>{s.width}</td>
                  <td>{s.count}</td>
                  <td>{percent(s.elements)}</td>
                  <td>
                    {percent(s.area)}
                    <span className="share-bar" aria-hidden="true" style={{ inlineSize: `${Math.min(100, s.area * 100)}%` }} />
                  </td>
                </tr>
              )),
          )}
        </tbody>
      </table>
      {missing.length > 0 && (
        <div className="below-rows">
          <Button size="small" onClick={() => change({ span: 'pages' })}>
            Measure every page at {view.width}
          </Button>
          <span className="quiet">
            {missing.length === pages.length ? 'No page has been measured yet' : `${missing.length} of ${pages.length} not yet on stage`}
          </span>
        </div>
      )}
    </div>
  );
}
