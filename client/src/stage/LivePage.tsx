import { useEffect, useRef, useState } from 'react';
import type { LookView } from '../api/client';
import { partOf } from '../site/catalogue';
import type { Editing } from '../site/editing';
import { useEditing, useEditingStore } from '../site/editingContext';
import { Selection } from './Selection';
import { FrameContent } from './content';
import { frameGone, frameLoads, frameShows } from './settled';
import { FrameSheet } from './frameSheet';
import { useStageView, type Viewport } from './view';
import './LivePage.css';

/** How long a frame that is not looked at waits while the hand moves, ms: six at once would cost the one that is. */
const BEHIND = 120;

interface Props {
  page: string;
  name: string;
  viewport: Viewport;
  scale: number;
  /** Whether this is the frame being looked at: it follows at once. */
  leads: boolean;
  onSelect: (look: LookView, block: string | null) => void;
}

/** A page in a viewport of its own. */
export function LivePage({ page, name, viewport, scale, leads, onSelect }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const store = useEditingStore();
  const catalogue = useEditing((e) => e.catalogue);
  const looks = useEditing((e) => e.site.looks);
  const [{ show, prefers, selected, reveal }] = useStageView();
  const frame = useRef<HTMLIFrameElement>(null);
  const [loaded, setLoaded] = useState<{ document: Document; sheets: FrameSheet; content: FrameContent } | null>(null);
  // Counts the times elements were replaced: what was done to them has to be done again.
  const [contents, setContents] = useState(0);
  const [clicked, setClicked] = useState<HTMLElement | null>(null);

  useEffect(() => {
    const key = frame;
    frameLoads(key);
    return () => frameGone(key);
  }, []);

  // Straight from the answer to the page, without drawing anything of our own in between: the stage follows the hand.
  useEffect(() => {
    if (!loaded) return;
    let timer = 0;
    const follow = ({ sheet, trial, before }: Editing) => {
      if (trial && !before) {
        loaded.sheets.try(trial);
        loaded.content.try(trial.blocks.filter((b) => b.page === page));
        return;
      }
      const shown = before ?? sheet;
      loaded.sheets.show(shown);
      void loaded.content.show(shown.pages[page], `/stage/${slug}/${page}${before ? `?before=${before.since}` : ''}`).then(() => {
        if (!before && store.getState().sheet === sheet) frameShows(frame, loaded.document, String(sheet.version));
      });
    };
    follow(store.getState());
    const unsubscribe = store.subscribe((now, before) => {
      if (now.sheet === before.sheet && now.trial === before.trial && now.before === before.before) return;
      if (leads) follow(now);
      else if (timer === 0)
        timer = window.setTimeout(() => {
          timer = 0;
          follow(store.getState());
        }, BEHIND);
    });
    return () => {
      unsubscribe();
      window.clearTimeout(timer);
    };
  }, [loaded, store, leads, page, slug]);

  useEffect(() => {
    return store.getState().watch(page);
  }, [store, page]);

  useEffect(() => {
    if (!loaded) return;
    for (const element of loaded.document.querySelectorAll('[data-force]')) element.removeAttribute('data-force');
    // On the specimen page each state stands by itself.
    for (const shown of loaded.document.querySelectorAll<HTMLElement>('[data-state]')) {
      const part = partOf(catalogue, shown.dataset.part ?? '');
      for (const element of part ? shown.querySelectorAll(part.hook) : []) element.setAttribute('data-force', shown.dataset.state ?? '');
    }
    if (show === 'rest') return;
    const hooks = catalogue.parts.filter((part) => part.states.includes(show)).map((part) => part.hook);
    for (const element of loaded.document.querySelectorAll(hooks.join(','))) element.setAttribute('data-force', show);
  }, [loaded, catalogue, show, contents]);

  useEffect(() => {
    if (!loaded) return;
    const onClick = (event: MouseEvent) => {
      const target = event.target as HTMLElement;
      const link = target.closest('a');
      // A plain link would lead the frame itself away; links within the page may scroll. Forms go nowhere.
      if ((link && !link.getAttribute('href')?.startsWith('#')) || target.closest('button')) event.preventDefault();
      const found = nearest(target, looks);
      if (!found) return;
      setClicked(found.element);
      onSelect(found.look, found.element.closest('[data-block]')?.getAttribute('data-block') ?? null);
    };
    loaded.document.addEventListener('click', onClick, true);
    return () => loaded.document.removeEventListener('click', onClick, true);
  }, [loaded, looks, onSelect]);

  const onLoad = () => {
    const document = frame.current?.contentDocument;
    if (!document) return;
    const sheets = new FrameSheet(document);
    sheets.show(store.getState().sheet);
    setLoaded({ document, sheets, content: new FrameContent(document, () => setContents((n) => n + 1)) });
  };

  // What is chosen elsewhere than on the stage comes into sight.
  useEffect(() => {
    const wanted = reveal ?? selected;
    if (!loaded || !wanted || clicked?.closest('[data-block]')?.getAttribute('data-block') === wanted) return;
    loaded.document.querySelector(`[data-block="${CSS.escape(wanted)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [loaded, selected, reveal, clicked]);

  const block = clicked?.closest('[data-block]')?.getAttribute('data-block');
  const element =
    loaded && selected
      ? clicked?.isConnected && block === selected
        ? clicked
        : loaded.document.querySelector<HTMLElement>(`[data-block="${CSS.escape(selected)}"]`)
      : null;
  return (
    <div className="stage-paper" style={{ width: viewport.width * scale, height: viewport.height * scale }}>
      <iframe
        ref={frame}
        title={`Page ${name} at ${viewport.width} px`}
        src={`/stage/${slug}/${page}`}
        sandbox="allow-same-origin"
        onLoad={onLoad}
        // The frame's own colour scheme is what its page finds the visitor to prefer.
        style={{ width: viewport.width, height: viewport.height, transform: `scale(${scale})`, colorScheme: prefers }}
      />
      {element && <Selection element={element} scale={scale} />}
    </div>
  );
}

/** The nearest element around a place that some look is for. */
function nearest(target: HTMLElement, looks: readonly LookView[]): { element: HTMLElement; look: LookView } | null {
  for (let element: HTMLElement | null = target; element; element = element.parentElement) {
    const look = looks.find((l) => l.selector !== '' && element?.matches(l.selector));
    if (look) return { element, look };
  }
  return null;
}
