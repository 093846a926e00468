import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { answered, api, type RequestFailed, type Schemas } from '../../api/client';
import { newGesture, windowId } from '../../site/window';
import { QueryError } from '../../ui/QueryError';
import { DeletedSites } from './DeletedSites';
import { NameDialog } from './NameDialog';
import { NewSiteDialog } from './NewSiteDialog';
import { OpenFile } from './OpenFile';
import { SiteCard } from './SiteCard';
import { Waiting } from '../../ui/Waiting';
import './HomePage.css';

type Listed = Schemas['ListedSite'];

/** The sites of this store. */
export function HomePage() {
  const queries = useQueryClient();
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => answered(api.GET('/api/sites')) });
  const [naming, setNaming] = useState<{ site: Listed; way: 'rename' | 'duplicate' } | null>(null);
  const [starting, setStarting] = useState(false);
  useEffect(() => {
    document.title = 'Sandbar';
    document.documentElement.dataset.settled = String(!sites.isFetching);
    return () => {
      delete document.documentElement.dataset.settled;
    };
  }, [sites.isFetching]);
  const save = async ({ slug }: Listed, way: 'rename' | 'duplicate', name: string) => {
    try {
      await (way === 'rename'
        ? rename(slug, name)
        : answered(api.POST('/api/sites/{slug}/copies', { params: { path: { slug } }, body: { name } })));
    } catch (failed) {
      return (failed as RequestFailed).message;
    }
    await queries.invalidateQueries({ queryKey: ['sites'] });
    queries.removeQueries({ queryKey: ['site', slug] });
    return null;
  };
  return (
    <main className="home">
      <div className="home-head">
        <h1>Sandbar</h1>
        <span className="site-acts">
          <OpenFile />
          <Button type="primary" onClick={() => setStarting(true)}>
            New site
          </Button>
        </span>
      </div>
      {sites.isPending && <Waiting />}
      {sites.isError && <QueryError title="The sites cannot be listed" query={sites} />}
      {sites.data?.length === 0 && <p className="empty">There is no site here yet. Start a new one, or open a site file.</p>}
      {sites.data && sites.data.length > 0 && (
        <ul className="site-list" aria-label="Sites">
          {sites.data.map((site) => (
            <SiteCard key={site.slug} site={site} onName={(way) => setNaming({ site, way })} />
          ))}
        </ul>
      )}
      <DeletedSites />
      {starting && <NewSiteDialog onClose={() => setStarting(false)} />}
      {naming && (
        <NameDialog
          title={naming.way === 'rename' ? `Rename ${naming.site.name}` : `Duplicate ${naming.site.name}`}
          act={naming.way === 'rename' ? 'Rename' : 'Duplicate'}
          start={naming.way === 'rename' ? naming.site.name : `${naming.site.name} copy`}
          onName={(name) => save(naming.site, naming.way, name)}
          onClose={() => setNaming(null)}
        />
      )}
    </main>
  );
}

/** Renames a site that is not open in this window, as an edit like any other. */
async function rename(slug: string, name: string) {
  const path = { slug };
  const { version } = (await answered(api.GET('/api/sites/{slug}', { params: { path, query: { window: windowId } } }))).site;
  const body = { version, window: windowId, openedAt: version, gesture: newGesture(), edit: { kind: 'renameSite' as const, name } };
  return answered(api.POST('/api/sites/{slug}/edits', { params: { path }, body }));
}
