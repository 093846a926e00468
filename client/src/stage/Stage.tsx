import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { answered, api, type LookView } from '../api/client';
import { useChangeAddress } from '../site/address';
import { useArrival } from '../site/arrival';
import { partOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { QueryError } from '../ui/QueryError';
import { useBoxes } from '../site/boxes';
import { useFillBoxes } from '../site/fillBoxes';
import { useMeasuredPages } from '../site/measuredPages';
import { useCandidates } from '../site/candidates';
import { Beside, BesideBar } from './Beside';
import { LivePage } from './LivePage';
import { useOtherCandidates } from './useOtherCandidates';
import { ReferenceBar } from './ReferenceBar';
import { useReference } from './reference';
import { StageBar } from './StageBar';
import { SPECIMEN, useStageView, viewportOf, WIDTHS, writeView, type Severity, type StageView, type Viewport, type Vision } from './view';
import './Stage.css';

const GAP = 14;
const PER_ROW = 3;

/** Between rows of frames, and below a frame for its caption, px (Stage.css). */
const ROW_GAP = 18;
const CAPTION = 23;

interface Size {
  width: number;
  height: number;
}

/** The live pages: real viewports, scaled to fit or at their own size. */
export function Stage() {
  const pages = useEditing((e) => e.site.pages);
  const [view, change] = useStageView();
  const changeAddress = useChangeAddress();
  const page = view.page === SPECIMEN.id ? SPECIMEN : (pages.find((p) => p.id === view.page) ?? pages[0]);
  const room = useArrival<HTMLDivElement>('stage');
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [walked, setWalked] = useState('');
  const earlier = useEditing((e) => e.before?.since ?? null);
  const catalogue = useEditing((e) => e.catalogue);

  useEffect(() => {
    if (!room.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(room.current);
    return () => observer.disconnect();
  }, [room]);

  const onSelect = useCallback(
    (look: LookView, block: string | null) => {
      setWalked(`${partOf(catalogue, look.part)?.name ?? ''} · ${look.name}`);
      changeAddress((before) => {
        const next = writeView(before, { selected: block });
        next.set('part', look.part);
        next.set('look', look.id);
        return next;
      });
    },
    [changeAddress, catalogue],
  );

  const comparison = useCandidates((c) => c.comparison);
  const others = useOtherCandidates(comparison);
  const slug = useEditing((e) => e.site.slug);
  // A comparison, and what was measured, belong to the site they were begun on.
  useEffect(
    () => () => {
      useCandidates.getState().end();
      useBoxes.getState().forget();
      useMeasuredPages.getState().forget();
      useFillBoxes.getState().forget();
      useReference.getState().end();
    },
    [slug],
  );
  const schemes = useEditing((e) => e.site.schemes).filter((s) => view.schemes.includes(s.id));
  const one = viewportOf(view.width) ?? (WIDTHS[2] as Viewport);
  const frames: { page: { id: string; name: string }; viewport: Viewport; caption: string | null; scheme?: string }[] =
    page === undefined
      ? []
      : view.span === 'widths'
        ? WIDTHS.map((viewport) => ({ page, viewport, caption: `${viewport.width} × ${viewport.height}` }))
        : view.span === 'pages'
          ? pages.map((p) => ({ page: p, viewport: one, caption: p.name }))
          : view.span === 'schemes'
            ? schemes.map((scheme) => ({ page, viewport: one, caption: scheme.name, scheme: scheme.cssName }))
            : [{ page, viewport: one, caption: null }];
  const fits = comparison ? inTwo(size.width, one) : fitting(view, size.width, one);
  const scale = view.fit && size.width > 0 ? Math.min(1, fits) : 1;
  const rows = view.span === 'pages' && !comparison ? Math.ceil(frames.length / PER_ROW) : 1;
  // At Fit a frame takes the height there is, in the pixels of its page.
  const tall = view.fit
    ? Math.floor(((size.height - (rows - 1) * ROW_GAP) / rows - (view.span === 'one' || comparison ? 0 : CAPTION)) / scale)
    : 0;
  return (
    <section className="stage" aria-label="Stage">
      {view.whole && <h1 className="unseen">{page?.name ?? 'Stage'}</h1>}
      {page && <StageBar page={page.id} />}
      {page && view.reference && (
        <ReferenceBar
          viewport={one.width}
          onClose={() => {
            useReference.getState().end();
            change({ reference: false });
          }}
        />
      )}
      {page && comparison && <BesideBar comparison={comparison} others={others} />}
      <VisionFilter vision={view.vision} severity={view.severity} />
      <span className="unseen" role="status">
        {walked}
      </span>
      {earlier && (
        <div className="earlier" role="status">
          {earlier === 'edit' ? 'As it was before the last edit' : 'As it was when a state was named last'}
        </div>
      )}
      {/* The room scrolls, so it must be reachable by key. */}
      <div
        className={`stage-room ${comparison ? 'beside' : view.span}`}
        ref={room}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="group"
        aria-label={
          view.span === 'pages'
            ? `Every page at ${view.width}px`
            : `${page?.name ?? 'No page'} at ${view.span === 'widths' ? 'every width' : `${view.width}px`}${view.span === 'schemes' ? `, in ${schemes.map((s) => s.name).join(' and ')}` : ''}`
        }
        style={view.vision === 'full' ? undefined : { filter: 'url(#vision)' }}
      >
        {page === undefined && <p className="empty">This site has no pages yet.</p>}
        {page !== undefined && frames.length === 0 && <p className="empty">These schemes are no longer there.</p>}
        {page !== undefined && comparison && (
          <Beside
            key={`${page.id} ${one.width}`}
            comparison={comparison}
            page={page}
            viewport={one}
            height={Math.max(one.height, tall)}
            scale={scale}
            onSelect={onSelect}
          />
        )}
        {(comparison ? [] : frames).map((f) => (
          <figure key={`${f.page.id} ${f.viewport.width} ${f.scheme ?? ''}`} className="stage-frame">
            <LivePage
              page={f.page.id}
              name={f.page.name}
              viewport={f.viewport}
              height={Math.max(f.viewport.height, tall)}
              scale={scale}
              scheme={f.scheme ?? null}
              leads={
                f.page.id === page?.id && (view.span !== 'widths' || f.viewport.width === view.width) && f.scheme === frames[0]?.scheme
              }
              onSelect={onSelect}
            />
            {f.caption && <figcaption>{f.caption}</figcaption>}
          </figure>
        ))}
      </div>
    </section>
  );
}

const inTwo = (room: number, one: Viewport): number => (room - GAP - 1) / 2 / one.width;

function fitting(view: StageView, room: number, one: Viewport): number {
  if (view.span === 'one') return room / one.width;
  if (view.span === 'pages') return (room - (PER_ROW - 1) * GAP - 1) / PER_ROW / one.width;
  if (view.span === 'schemes') return inTwo(room, one);
  return (room - (WIDTHS.length - 1) * GAP - 1) / WIDTHS.reduce((sum, w) => sum + w.width, 0);
}

/** The filter that shows colours as somebody with a colour-vision deficiency sees them; its numbers come from the core. */
function VisionFilter({ vision, severity }: { vision: Vision; severity: Severity }) {
  const numbers = useQuery({
    queryKey: ['vision', vision, severity],
    queryFn: () =>
      answered(api.GET('/api/colors/vision/{kind}', { params: { path: { kind: vision }, query: { severity: Number(severity) / 100 } } })),
    enabled: vision !== 'full',
    staleTime: Infinity,
  });
  const isOn = vision !== 'full' && numbers.data !== undefined;
  // The colours of the panel are seen so too.
  useEffect(() => {
    document.documentElement.toggleAttribute('data-vision', isOn);
    return () => document.documentElement.removeAttribute('data-vision');
  }, [isOn]);
  if (vision !== 'full' && numbers.isError)
    return <QueryError title="Colours are shown as they are: the vision could not be read" query={numbers} />;
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
