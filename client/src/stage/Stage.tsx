import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { answered, api, type LookView } from '../api/client';
import { useEditing } from '../site/editingContext';
import { LivePage } from './LivePage';
import { StageBar } from './StageBar';
import { SPECIMEN, useStageView, WIDTHS, writeView, type StageView, type Viewport, type Vision } from './view';
import './Stage.css';

const GAP = 14;
const PER_ROW = 3;

/** The live pages: real viewports, scaled to fit or at their own size. */
export function Stage() {
  const pages = useEditing((e) => e.site.pages);
  const [view] = useStageView();
  const [, setParams] = useSearchParams();
  const page = view.page === SPECIMEN.id ? SPECIMEN : (pages.find((p) => p.id === view.page) ?? pages[0]);
  const room = useRef<HTMLDivElement>(null);
  const [roomWidth, setRoomWidth] = useState(0);

  useEffect(() => {
    if (!room.current) return;
    const observer = new ResizeObserver(([entry]) => setRoomWidth(entry?.contentRect.width ?? 0));
    observer.observe(room.current);
    return () => observer.disconnect();
  }, []);

  const onSelect = useCallback(
    (look: LookView, block: string | null) =>
      setParams(
        (before) => {
          const next = writeView(before, { selected: block });
          next.set('part', look.part);
          next.set('look', look.id);
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );

  const one = WIDTHS.find((w) => w.width === view.width) ?? (WIDTHS[2] as Viewport);
  const frames =
    page === undefined
      ? []
      : view.span === 'widths'
        ? WIDTHS.map((viewport) => ({ page, viewport, caption: `${viewport.width} × ${viewport.height}` }))
        : view.span === 'pages'
          ? pages.map((p) => ({ page: p, viewport: one, caption: p.name }))
          : [{ page, viewport: one, caption: null }];
  const scale = view.fit && roomWidth > 0 ? Math.min(1, fitting(view, roomWidth, one)) : 1;
  return (
    <section className="stage" aria-label="Stage">
      {view.whole && <h1 className="unseen">{page?.name ?? 'Stage'}</h1>}
      {page && <StageBar page={page.id} />}
      <VisionFilter vision={view.vision} />
      {/* The room scrolls, so it must be reachable by key. */}
      <div
        className={`stage-room ${view.span}`}
        ref={room}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="group"
        aria-label={
          view.span === 'pages'
            ? `Every page at ${view.width} px`
            : `${page?.name ?? 'No page'} at ${view.span === 'one' ? `${view.width} px` : 'every width'}`
        }
        style={view.vision === 'full' ? undefined : { filter: 'url(#vision)' }}
      >
        {page === undefined && <p className="empty">This site has no pages yet.</p>}
        {frames.map((f) => (
          <figure key={`${f.page.id} ${f.viewport.width}`} className="stage-frame">
            <LivePage
              page={f.page.id}
              name={f.page.name}
              viewport={f.viewport}
              scale={scale}
              leads={f.page.id === page?.id && (view.span !== 'widths' || f.viewport.width === view.width)}
              onSelect={onSelect}
            />
            {f.caption && <figcaption>{f.caption}</figcaption>}
          </figure>
        ))}
      </div>
    </section>
  );
}

function fitting(view: StageView, room: number, one: Viewport): number {
  const free = room - 2 * GAP;
  if (view.span === 'one') return free / one.width;
  if (view.span === 'pages') return (free - (PER_ROW - 1) * GAP) / PER_ROW / one.width;
  return (free - (WIDTHS.length - 1) * GAP) / WIDTHS.reduce((sum, w) => sum + w.width, 0);
}

/** The filter that shows colours as somebody with a colour-vision deficiency sees them; its numbers come from the core. */
function VisionFilter({ vision }: { vision: Vision }) {
  const numbers = useQuery({
    queryKey: ['vision', vision],
    queryFn: () => answered(api.GET('/api/colors/vision/{kind}', { params: { path: { kind: vision } } })),
    enabled: vision !== 'full',
    staleTime: Infinity,
  });
  if (vision === 'full' || !numbers.data) return null;
  const rows = [0, 3, 6].map((at) => [...numbers.data.slice(at, at + 3), 0, 0].join(' '));
  return (
    <svg width="0" height="0" aria-hidden="true" className="filters">
      <filter id="vision" colorInterpolationFilters="linearRGB">
        <feColorMatrix values={`${rows.join(' ')} 0 0 0 1 0`} />
      </filter>
    </svg>
  );
}
