import { useQuery } from '@tanstack/react-query';
import { Alert, Button, Skeleton } from 'antd';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { answered, api } from '../api/client';

/** The sites of this store. */
export function HomePage() {
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => answered(api.GET('/api/sites')) });
  useEffect(() => {
    document.title = 'Sandbar';
    document.documentElement.dataset.settled = String(!sites.isPending);
    return () => {
      delete document.documentElement.dataset.settled;
    };
  }, [sites.isPending]);
  return (
    <main className="home">
      <h1>Sandbar</h1>
      {sites.isPending && <Skeleton active={false} />}
      {sites.isError && (
        <Alert
          type="error"
          title="The sites cannot be listed"
          description={sites.error.message}
          action={<Button onClick={() => void sites.refetch()}>Try again</Button>}
        />
      )}
      {sites.data && (
        <ul className="site-list">
          {sites.data.map((site) => (
            <li key={site.slug}>
              <Link to={`/sites/${site.slug}/palette`}>{site.name}</Link>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
