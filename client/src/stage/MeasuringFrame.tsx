import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { answered, api, type Schemas } from '../api/client';
import { useEditing } from '../site/editingContext';
import { pairsKey, usePairs } from '../site/figures';
import { frameKey } from '../site/boxes';
import { useFillBoxes } from '../site/fillBoxes';
import { fillBoxesOn } from './fillBoxesOn';
import { textLines } from './textLines';
import { useStageView, WIDTHS } from './view';
import './MeasuringFrame.css';

/** How long nothing is done before pages are measured, ms. */
const REST = 1500;

/** Measures, page by page and while nobody is busy, where the texts lie of which it is not known yet how they read over what is behind them. */
export function MeasuringFrame() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const isBusy = useEditing((e) => e.trial !== null || e.before !== null || e.pending > 0 || !e.connected);
  const pairs = usePairs().data;
  const queries = useQueryClient();
  const [{ page: shown }] = useStageView();
  const room = useRef<HTMLDivElement>(null);
  const isCurrent = pairs?.version === version;
  const pages = useEditing((e) => e.site.pages);
  const frames = useFillBoxes((b) => b.frames);
  const isLookedAt = useFillBoxes((b) => b.lookers > 0);
  const missing = isCurrent ? pairs.toMeasure : [];
  // Boxes of fills are only looked for where somebody looks at them.
  const unseen =
    isCurrent && missing.length === 0 && isLookedAt
      ? pages.flatMap(({ id }) => WIDTHS.filter((w) => !frames[frameKey(id, w.width)]).map((w) => ({ page: id, ...w })))
      : [];
  const all = missing.length > 0 ? missing : unseen;
  const next = all.find((p) => p.page === shown)?.page ?? all[0]?.page;
  const widths = all.filter((p) => p.page === next);
  const tells = missing.length > 0;
  const key = `${next ?? ''} ${widths.map((w) => w.width).join(' ')}`;

  // Browser tests wait for the first, and see by the second that it goes on.
  useEffect(() => {
    if (!isCurrent) return;
    if (missing.length === 0) document.documentElement.dataset.measured = String(version);
    document.documentElement.dataset.toMeasure = String(missing.length);
  }, [isCurrent, missing.length, version]);

  const work = useRef(widths);
  useEffect(() => {
    work.current = widths;
  });
  // Only the first page after a change waits for the hand to rest.
  const measured = useRef(-1);
  useEffect(() => {
    if (!next || isBusy || !room.current) return;
    const holder = room.current;
    const stop = new AbortController();
    const timer = window.setTimeout(
      () => {
        measured.current = version;
        void measure(holder, slug, version, next, work.current, tells, stop.signal)
          .then((isDone) => (isDone && tells ? queries.invalidateQueries({ queryKey: pairsKey(slug, version) }) : undefined))
          // What could not be told of now is measured after the next change, or once the connection is back.
          .catch(() => undefined);
      },
      measured.current === version ? 0 : REST,
    );
    return () => {
      window.clearTimeout(timer);
      stop.abort();
    };
  }, [slug, version, next, key, tells, isBusy, queries]);

  return <div className="measuring" ref={room} aria-hidden="true" inert />;
}

/**
 * Shows a page out of sight in each window, and sees which boxes its fills cover. False where it was stopped.
 * @param tells whether the server is told where its texts lie
 */
async function measure(
  holder: HTMLElement,
  slug: string,
  version: number,
  page: string,
  windows: readonly Schemas['PageToMeasure'][],
  tells: boolean,
  signal: AbortSignal,
): Promise<boolean> {
  const frame = document.createElement('iframe');
  frame.title = 'Measuring';
  frame.tabIndex = -1;
  frame.setAttribute('sandbox', 'allow-same-origin');
  frame.src = `/stage/${slug}/${page}`;
  // A frame that is taken away is never loaded: what waits for it goes on all the same.
  const loaded = new Promise<void>((resolve) => {
    frame.addEventListener('load', () => resolve(), { once: true });
    signal.addEventListener('abort', () => resolve(), { once: true });
  });
  try {
    const [first] = windows;
    if (first) resize(frame, first);
    holder.append(frame);
    await loaded;
    if (signal.aborted || !frame.contentDocument) return false;
    await frame.contentDocument.fonts.ready;
    for (const window of windows) {
      await idle();
      const shown = frame.contentDocument;
      // Another version has come meanwhile: that one is measured next.
      if (signal.aborted || shown?.getElementById('sheet')?.dataset.version !== String(version)) return false;
      resize(frame, window);
      useFillBoxes.getState().seen(page, window.width, fillBoxesOn(shown, page, window.width));
      if (!tells) continue;
      const texts = textLines(shown, page, window);
      await answered(api.POST('/api/sites/{slug}/pairs/measured', { params: { path: { slug } }, body: { version, texts }, signal }));
    }
    return !signal.aborted;
  } finally {
    frame.remove();
  }
}

function resize(frame: HTMLIFrameElement, { width, height }: { width: number; height: number }) {
  frame.style.width = `${width}px`;
  frame.style.height = `${height}px`;
}

const idle = () => new Promise((resolve) => window.requestIdleCallback(resolve, { timeout: 500 }));
