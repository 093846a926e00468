import { useEffect, useRef, useState } from 'react';
import type { Editing } from '../api/editing';
import { useEditing, useEditingStore } from '../app/editingContext';
import { FrameSheet } from './sheet';
import { StageBar } from './StageBar';
import { useStageView, WIDTHS } from './view';

const MARGIN = 14;

/** The live page: a real viewport, scaled to fit or at its own size. */
export function Stage() {
  const pages = useEditing((e) => e.site.pages);
  const [view] = useStageView();
  const page = pages.find((p) => p.id === view.page) ?? pages[0];
  const viewport = WIDTHS.find((w) => w.width === view.width) ?? WIDTHS[2];
  const room = useRef<HTMLDivElement>(null);
  const [roomWidth, setRoomWidth] = useState(0);

  useEffect(() => {
    if (!room.current) return;
    const observer = new ResizeObserver(([entry]) => setRoomWidth(entry?.contentRect.width ?? 0));
    observer.observe(room.current);
    return () => observer.disconnect();
  }, []);

  const scale = view.fit && roomWidth > 0 ? Math.min(1, (roomWidth - 2 * MARGIN) / viewport.width) : 1;
  return (
    <section className="stage" aria-label="Stage">
      {page && <StageBar page={page.id} />}
      {/* The room scrolls, so it must be reachable by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="stage-room" ref={room} tabIndex={0} role="group" aria-label={`${page?.name ?? 'No page'} at ${viewport.width} px`}>
        {page ? (
          <div className="stage-paper" style={{ width: viewport.width * scale, height: viewport.height * scale }}>
            <Frame key={page.id} page={page.id} name={page.name} width={viewport.width} height={viewport.height} scale={scale} />
          </div>
        ) : (
          <p className="empty">This site has no pages yet.</p>
        )}
      </div>
    </section>
  );
}

interface FrameProps {
  page: string;
  name: string;
  width: number;
  height: number;
  scale: number;
}

function Frame({ page, name, width, height, scale }: FrameProps) {
  const slug = useEditing((e) => e.site.slug);
  const store = useEditingStore();
  const parts = useEditing((e) => e.site.parts);
  const [{ show }] = useStageView();
  const frame = useRef<HTMLIFrameElement>(null);
  const [loaded, setLoaded] = useState<{ document: Document; sheets: FrameSheet } | null>(null);

  // Straight from the answer to the page, without drawing anything of our own in between: the stage follows the hand.
  useEffect(() => {
    if (!loaded) return;
    const follow = ({ sheet, trial }: Editing) => {
      if (trial) {
        loaded.sheets.try(trial);
        return;
      }
      loaded.sheets.show(sheet);
      markSettled(loaded.document, String(sheet.version));
    };
    follow(store.getState());
    return store.subscribe((now, before) => {
      if (now.sheet !== before.sheet || now.trial !== before.trial) follow(now);
    });
  }, [loaded, store]);

  useEffect(() => {
    if (!loaded) return;
    for (const element of loaded.document.querySelectorAll('[data-force]')) element.removeAttribute('data-force');
    if (show === 'rest') return;
    const hooks = parts.filter((part) => part.states.includes(show)).map((part) => part.hook);
    for (const element of loaded.document.querySelectorAll(hooks.join(','))) element.setAttribute('data-force', show);
  }, [loaded, parts, show]);

  const onLoad = () => {
    const document = frame.current?.contentDocument;
    if (!document) return;
    // A plain link would lead the frame itself away; links within the page may scroll.
    document.addEventListener(
      'click',
      (event) => {
        const link = (event.target as Element).closest('a');
        if (link && !link.getAttribute('href')?.startsWith('#')) event.preventDefault();
      },
      true,
    );
    const sheets = new FrameSheet(document);
    sheets.show(store.getState().sheet);
    setLoaded({ document, sheets });
  };

  return (
    <iframe
      ref={frame}
      title={`Page ${name}`}
      src={`/stage/${slug}/${page}`}
      sandbox="allow-same-origin"
      onLoad={onLoad}
      style={{ width, height, transform: `scale(${scale})` }}
    />
  );
}

/** Tells from outside which version the stage shows, once its fonts and pictures are there. */
function markSettled(document: Document, version: string): void {
  const root = window.document.documentElement;
  if (root.dataset.stage === version) return;
  root.dataset.stage = '';
  void document.fonts.ready.then(() => {
    const pictures = [...document.images].map((image) => image.decode().catch(() => undefined));
    void Promise.all(pictures).then(() => {
      root.dataset.stage = version;
    });
  });
}
