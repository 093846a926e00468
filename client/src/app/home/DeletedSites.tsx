import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { answered, api, type Schemas } from '../../api/client';
import { Problem } from '../../ui/Problem';
import { QueryError } from '../../ui/QueryError';
import { When } from '../../ui/When';
import { restore } from './restore';

/** The sites that were deleted, each of which can be brought back. */
export function DeletedSites() {
  const away = useQuery({ queryKey: ['sites', 'away'], queryFn: () => answered(api.GET('/api/away')) });
  if (away.isError) return <QueryError title="The deleted sites cannot be listed" query={away} />;
  if (!away.data || away.data.length === 0) return null;
  return (
    <details className="deleted-sites">
      <summary>{away.data.length === 1 ? '1 deleted site' : `${away.data.length} deleted sites`}</summary>
      <ul aria-label="Deleted sites">
        {away.data.map((site) => (
          <Deleted key={site.slug} site={site} />
        ))}
      </ul>
    </details>
  );
}

function Deleted({ site }: { site: Schemas['AwaySite'] }) {
  const queries = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const bringBack = () =>
    restore(site.slug)
      .then(() => queries.invalidateQueries({ queryKey: ['sites'] }))
      .catch((failed: Error) => setProblem(failed.message));
  return (
    <li>
      <strong title={site.name}>{site.name}</strong>
      <span className="quiet">
        deleted <When at={site.since} />
      </span>
      <Button size="small" aria-label={`Bring ${site.name} back`} onClick={() => void bringBack()}>
        Bring back
      </Button>
      <Problem text={problem} />
    </li>
  );
}
