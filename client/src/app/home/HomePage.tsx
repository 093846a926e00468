import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Modal, Skeleton } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type RequestFailed, type Schemas } from '../../api/client';
import { newGesture, windowId } from '../../site/window';
import { NewSiteDialog } from './NewSiteDialog';
import { QueryError } from '../../ui/QueryError';
import { Problem } from '../../ui/Problem';
import './HomePage.css';

type Summary = Schemas['SiteSummary'];

/** The sites of this store. */
export function HomePage() {
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => answered(api.GET('/api/sites')) });
  const [naming, setNaming] = useState<{ site: Summary; way: 'rename' | 'duplicate' } | null>(null);
  const [starting, setStarting] = useState(false);
  useEffect(() => {
    document.title = 'Sandbar';
    document.documentElement.dataset.settled = String(!sites.isFetching);
    return () => {
      delete document.documentElement.dataset.settled;
    };
  }, [sites.isFetching]);
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
      {sites.isPending && <Skeleton active={false} />}
      {sites.isError && <QueryError title="The sites cannot be listed" query={sites} />}
      {sites.data?.length === 0 && <p className="empty">There is no site here yet. Start a new one, or open a site file.</p>}
      {sites.data && sites.data.length > 0 && (
        <ul className="site-list">
          {sites.data.map((site) => (
            <SiteRow key={site.slug} site={site} onName={(way) => setNaming({ site, way })} />
          ))}
        </ul>
      )}
      {starting && <NewSiteDialog onClose={() => setStarting(false)} />}
      {naming && <NameDialog {...naming} onClose={() => setNaming(null)} />}
    </main>
  );
}

function SiteRow({ site, onName }: { site: Summary; onName: (way: 'rename' | 'duplicate') => void }) {
  const queries = useQueryClient();
  const { notification } = App.useApp();
  const path = { slug: site.slug };
  const again = () => queries.invalidateQueries({ queryKey: ['sites'] });
  const remove = async () => {
    const gone = await api.DELETE('/api/sites/{slug}', { params: { path } }).catch(() => null);
    if (!gone || gone.error) {
      notification.error({
        title: `${site.name} was not deleted`,
        description: 'The server did not answer, or the site is gone already.',
        placement: 'bottomLeft',
      });
      return again();
    }
    await again();
    const key = `deleted ${site.slug}`;
    notification.info({
      key,
      title: `${site.name} was deleted`,
      duration: 0,
      placement: 'bottomLeft',
      actions: (
        <Button
          onClick={() => {
            notification.destroy(key);
            void api.POST('/api/sites/{slug}/restored', { params: { path } }).then(again);
          }}
        >
          Undo
        </Button>
      ),
    });
  };
  return (
    <li>
      <Link to={`/sites/${site.slug}/palette`} title={site.name}>
        {site.name}
      </Link>
      <span className="site-acts">
        <Button size="small" aria-label={`Rename ${site.name}`} onClick={() => onName('rename')}>
          Rename
        </Button>
        <Button size="small" aria-label={`Duplicate ${site.name}`} onClick={() => onName('duplicate')}>
          Duplicate
        </Button>
        <Button size="small" aria-label={`Save ${site.name} as a file`} href={`/api/sites/${site.slug}/release/site-file.zip`}>
          Save
        </Button>
        <Button size="small" danger aria-label={`Delete ${site.name}`} onClick={() => void remove()}>
          Delete
        </Button>
      </span>
    </li>
  );
}

function NameDialog({ site, way, onClose }: { site: Summary; way: 'rename' | 'duplicate'; onClose: () => void }) {
  const queries = useQueryClient();
  const [name, setName] = useState(way === 'rename' ? site.name : `${site.name} copy`);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async () => {
    const path = { slug: site.slug };
    try {
      if (way === 'duplicate') await answered(api.POST('/api/sites/{slug}/copies', { params: { path }, body: { name } }));
      else {
        const { version } = (await answered(api.GET('/api/sites/{slug}', { params: { path, query: { window: windowId } } }))).site;
        const edit = { kind: 'renameSite' as const, name };
        const body = { version, window: windowId, openedAt: version, gesture: newGesture(), edit };
        await answered(api.POST('/api/sites/{slug}/edits', { params: { path }, body }));
      }
      await queries.invalidateQueries({ queryKey: ['sites'] });
      queries.removeQueries({ queryKey: ['site', site.slug] });
      onClose();
    } catch (failed) {
      setProblem((failed as RequestFailed).message);
    }
  };
  return (
    <Modal
      open
      title={way === 'rename' ? `Rename ${site.name}` : `Duplicate ${site.name}`}
      okText={way === 'rename' ? 'Rename' : 'Duplicate'}
      onOk={() => void save()}
      onCancel={onClose}
    >
      <Input
        aria-label="Name"
        value={name}
        maxLength={60}
        status={problem ? 'error' : ''}
        onChange={(event) => {
          setName(event.target.value);
          setProblem(null);
        }}
        onPressEnter={() => void save()}
      />
      <Problem text={problem} />
    </Modal>
  );
}

/** Opens a saved site as a new one. */
function OpenFile() {
  const queries = useQueryClient();
  const { notification } = App.useApp();
  const input = useRef<HTMLInputElement>(null);
  const [opening, setOpening] = useState(false);
  const open = async (file: File | undefined) => {
    if (!file) return;
    setOpening(true);
    try {
      const headers = { 'Content-Type': 'application/zip' };
      const opened = await answered(api.POST('/api/sites', { body: file as unknown as string, bodySerializer: (body) => body, headers }));
      notification.success({ title: `${opened.name} was opened`, placement: 'bottomLeft' });
      await queries.invalidateQueries({ queryKey: ['sites'] });
    } catch (failed) {
      const description = (failed as RequestFailed).message;
      notification.error({ title: 'This site file cannot be opened', description, placement: 'bottomLeft', duration: 0 });
    } finally {
      setOpening(false);
      if (input.current) input.current.value = '';
    }
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".zip"
        className="unseen"
        tabIndex={-1}
        aria-label="Site file (zip)"
        onChange={(event) => void open(event.target.files?.[0])}
      />
      <Button loading={opening} onClick={() => input.current?.click()}>
        Open a site file
      </Button>
    </>
  );
}
