import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '../../api/client';
import { When } from '../../ui/When';
import { restore } from './restore';

const WIDTH = 1280;
const HEIGHT = 800;

interface Props {
  site: Schemas['ListedSite'];
  onName: (way: 'rename' | 'duplicate') => void;
}

/** A site at sight: its first page, live, its colours, and when it was edited last. */
export function SiteCard({ site, onName }: Props) {
  const card = useRef<HTMLLIElement>(null);
  const width = useWidthOnceSeen(card);
  const path = { slug: site.slug };
  const front = useQuery({
    queryKey: ['front', site.slug, site.edited],
    queryFn: () => answered(api.GET('/api/sites/{slug}/front', { params: { path } })),
    enabled: width > 0,
    staleTime: Infinity,
  });
  const remove = useRemove(site);
  const { page, colors } = front.data ?? {};
  return (
    <li ref={card}>
      <div className="front" aria-hidden="true">
        {page && (
          // Looked at, not used: the link below leads to the site.
          <iframe
            title={`First page of ${site.name}`}
            tabIndex={-1}
            inert
            sandbox="allow-same-origin"
            src={`/stage/${site.slug}/${page}`}
            width={WIDTH}
            height={HEIGHT}
            style={{ scale: width / WIDTH }}
          />
        )}
        {page === null && <p className="empty">No pages yet</p>}
        {front.isError && <p className="empty">It cannot be shown just now</p>}
      </div>
      <Link to={`/sites/${site.slug}/palette`} title={site.name}>
        {site.name}
      </Link>
      <div className="front-line">
        <span className="front-colors" role="img" aria-label={colors ? `${colors.length} colours` : 'Colours'}>
          {colors?.map((hex, i) => (
            <span key={i} style={{ background: hex }} />
          ))}
        </span>
        <span className="quiet">
          edited <When at={site.edited} />
        </span>
      </div>
      <span className="site-acts">
        <Button size="small" aria-label={`Rename ${site.name}`} onClick={() => onName('rename')}>
          Rename
        </Button>
        <Button size="small" aria-label={`Duplicate ${site.name}`} onClick={() => onName('duplicate')}>
          Duplicate
        </Button>
        <Button size="small" aria-label={`Site file of ${site.name}`} href={`/api/sites/${site.slug}/release/site-file.zip`}>
          Site file
        </Button>
        <Button size="small" danger aria-label={`Delete ${site.name}`} onClick={() => void remove()}>
          Delete
        </Button>
      </span>
    </li>
  );
}

/** How wide something is, px; 0 until it comes into sight: what is far down a long list is not fetched before. */
function useWidthOnceSeen(place: { readonly current: Element | null }): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const sizes = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0));
    const sight = new IntersectionObserver(
      (entries) => {
        if (!entries.some((e) => e.isIntersecting)) return;
        sight.disconnect();
        sizes.observe(element);
      },
      { rootMargin: '200px' },
    );
    sight.observe(element);
    return () => {
      sight.disconnect();
      sizes.disconnect();
    };
  }, [place]);
  return width;
}

/** Puts a site away; it is said, with the way back. */
function useRemove({ slug, name }: Schemas['ListedSite']): () => Promise<void> {
  const queries = useQueryClient();
  const { notification } = App.useApp();
  const path = { slug };
  return async () => {
    const gone = await api.DELETE('/api/sites/{slug}', { params: { path } }).catch(() => null);
    await queries.invalidateQueries({ queryKey: ['sites'] });
    if (!gone || gone.error) {
      const description = 'The server did not answer, or the site is gone already.';
      notification.error({ title: `${name} was not deleted`, description, placement: 'bottomLeft' });
      return;
    }
    const key = `deleted ${slug}`;
    const undo = () => {
      notification.destroy(key);
      restore(slug)
        .catch((failed: Error) =>
          notification.error({ title: `${name} was not brought back`, description: failed.message, placement: 'bottomLeft' }),
        )
        .finally(() => void queries.invalidateQueries({ queryKey: ['sites'] }));
    };
    notification.info({
      key,
      title: `${name} was deleted`,
      description: 'It can be brought back at any time, from the list of deleted sites below.',
      duration: 8,
      placement: 'bottomLeft',
      actions: <Button onClick={undo}>Undo</Button>,
    });
  };
}
