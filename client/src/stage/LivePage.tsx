import { useCallback, useEffect, useRef, useState } from 'react';
import type { LookView, TrialAnswer } from '../api/client';
import { usePictures } from '../values/usePictures';
import { partOf } from '../site/catalogue';
import type { Editing } from '../site/editing';
import { useEditing, useEditingStore } from '../site/editingContext';
import type { PictureSpot } from '../site/requests';
import { takesText } from '../ui/keys';
import { CentreGrip } from './CentreGrip';
import { Reference } from './Reference';
import { Selection } from './Selection';
import { FrameContent } from './content';
import { useMeasuring } from './useMeasuring';
import { usePictureDrops } from './usePictureDrops';
import { WorstSpot } from './WorstSpot';
import { WritingBar } from './writing/WritingBar';
import { useWriting } from './writing/useWriting';
import { frameGone, frameLoads, frameShows } from './settled';
import { FrameSheet } from './frameSheet';
import { usePlayed } from './play';
import { readView, SPECIMEN, useStageView, type Viewport } from './view';
import { tellPicked } from './picked';
import { nearest, walk, type Styled } from './walk';
import './LivePage.css';

/** How long a frame that is not looked at waits while the hand moves, ms: six at once would cost the one that is. */
const BEHIND = 120;

interface Props {
  page: string;
  name: string;
  viewport: Viewport;
  /** How tall the frame is, CSS px: the viewport's own height or more. */
  height: number;
  scale: number;
  /** CSS name of a scheme that is shown instead of the page's own; null for that. */
  scheme: string | null;
  /** Whether this is the frame being looked at: it follows at once. */
  leads: boolean;
  /** What this frame shows instead of what is being tried elsewhere: null for what is stored, undefined for what the window tries. */
  candidate?: TrialAnswer | null;
  onSelect: (look: LookView, block: string | null) => void;
}

/** A page in a viewport of its own. */
export function LivePage({ page, name, viewport, height, scale, scheme, leads, candidate, onSelect }: Props) {
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
  // What was clicked or walked to last, known at once: the next key may come before the drawing is over.
  const last = useRef<HTMLElement | null>(null);
  const take = useCallback(
    ({ element, look }: Styled) => {
      last.current = element;
      tellPicked(element);
      setClicked(element);
      onSelect(look, blockOf(element));
    },
    [onSelect],
  );
  // What follows what is stored and tried, once the page is there.
  const followed = useRef<() => void>(() => undefined);
  const follow = useCallback(() => followed.current(), []);
  const writing = useWriting({
    loaded,
    frame,
    enabled: candidate === undefined && page !== SPECIMEN.id,
    follow,
    onBegin: useCallback(
      (begun: HTMLElement) => {
        const styled = nearest(begun, looks);
        if (styled) take(styled);
      },
      [looks, take],
    ),
  });
  const { write, goOn } = writing;
  const pictures = usePictures();
  const addPicture = useRef(pictures.add);
  useEffect(() => {
    addPicture.current = pictures.add;
  });
  usePictureDrops({
    page: candidate === undefined && page !== SPECIMEN.id ? (loaded?.document ?? null) : null,
    id: page,
    leads,
    selected,
    add: useCallback((file: File, spot: PictureSpot) => addPicture.current(file, spot), []),
  });
  // What is done once elements were replaced, by the time it is called.
  const replaced = useRef(goOn);
  useEffect(() => {
    replaced.current = goOn;
  }, [goOn]);

  useEffect(() => {
    const key = frame;
    frameLoads(key);
    return () => frameGone(key);
  }, []);

  // Straight from the answer to the page, without drawing anything of our own in between: the stage follows the hand.
  useEffect(() => {
    if (!loaded) return;
    let timer = 0;
    const follow = ({ sheet, trial: tried, before }: Editing) => {
      const trial = candidate === undefined ? tried : candidate?.version === sheet.version ? candidate : null;
      if (trial && !before) {
        loaded.sheets.try(trial);
        loaded.content.try(
          trial.blocks.filter((b) => b.page === page),
          trial.orders.find((o) => o.page === page)?.sections ?? null,
        );
        if (candidate !== undefined) frameShows(frame, loaded.document, String(sheet.version));
        return;
      }
      const shown = before ?? sheet;
      loaded.sheets.show(shown);
      // What is shown from before says of itself that it is not what is stored: nothing waits for that.
      if (!before && !loaded.content.stands(shown.pages[page])) frameLoads(frame);
      void loaded.content.show(shown.pages[page], `/stage/${slug}/${page}${before ? `?before=${before.since}` : ''}`).then((stands) => {
        if (stands && !before && store.getState().sheet === sheet) frameShows(frame, loaded.document, String(sheet.version));
      });
    };
    followed.current = () => follow(store.getState());
    followed.current();
    const unsubscribe = store.subscribe((now, before) => {
      // What could not be had without a connection is asked for when it is back.
      const isBack = now.connected && !before.connected;
      if (now.sheet === before.sheet && now.trial === before.trial && now.before === before.before && !isBack) return;
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
  }, [loaded, store, leads, page, slug, candidate]);

  useEffect(() => {
    return store.getState().watch(page);
  }, [store, page]);

  usePlayed(loaded?.document ?? null);

  useMeasuring(candidate === undefined ? (loaded?.document ?? null) : null, page, viewport.width, contents);

  // What stands beside another scrolls with it.
  useEffect(() => {
    if (!loaded || candidate === undefined || !frame.current?.contentWindow) return;
    return scrollsAlong(frame.current.contentWindow);
  }, [loaded, candidate]);

  useEffect(() => {
    if (loaded && scheme !== null) loaded.document.documentElement.setAttribute('data-scheme', scheme);
  }, [loaded, scheme, contents]);

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
      if (found) take(found);
    };
    loaded.document.addEventListener('click', onClick, true);
    return () => loaded.document.removeEventListener('click', onClick, true);
  }, [loaded, looks, take]);

  useEffect(() => {
    if (!loaded || !frame.current) return;
    return passOn(loaded.document, frame.current);
  }, [loaded]);

  const element = loaded && standsAt(loaded.document, clicked, selected);
  // The arrow keys lead from element to element while the stage itself has the focus.
  useEffect(() => {
    const room = frame.current?.closest<HTMLElement>('.stage-room');
    if (!loaded || !leads || !room) return;
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.target !== room || event.ctrlKey || event.metaKey || event.altKey) return;
      const { selected: now } = readView(new URLSearchParams(window.location.search));
      const here = standsAt(loaded.document, last.current, now);
      if (event.key === 'Enter' && here && write(here, -1)) {
        event.preventDefault();
        return;
      }
      const next = walk(loaded.document, looks, here, event.key);
      if (next === undefined) return;
      event.preventDefault();
      if (!next) return;
      take(next);
      next.element.scrollIntoView({ block: 'nearest' });
    };
    room.addEventListener('keydown', onKeyDown);
    return () => room.removeEventListener('keydown', onKeyDown);
  }, [loaded, leads, looks, take, write]);

  const onLoad = () => {
    const document = frame.current?.contentDocument;
    if (!document) return;
    const sheets = new FrameSheet(document);
    sheets.show(store.getState().sheet);
    setLoaded({
      document,
      sheets,
      content: new FrameContent(document, () => {
        setContents((n) => n + 1);
        replaced.current();
      }),
    });
  };

  // What is chosen elsewhere than on the stage comes into sight; what is clicked is in sight, whatever the step is about.
  useEffect(() => {
    if (loaded && reveal) bringIntoSight(loaded.document, reveal);
  }, [loaded, reveal]);
  useEffect(() => {
    // By what was picked last, known at once: the drawing of it may come before the address says so.
    if (loaded && selected && blockOf(last.current) !== selected) bringIntoSight(loaded.document, selected);
  }, [loaded, selected]);

  return (
    <div className="stage-paper" style={{ width: viewport.width * scale, height: height * scale }}>
      <iframe
        ref={frame}
        title={`Page ${name} at ${viewport.width}px`}
        src={`/stage/${slug}/${page}`}
        sandbox="allow-same-origin"
        onLoad={onLoad}
        // The frame's own colour scheme is what its page finds the visitor to prefer.
        style={{ width: viewport.width, height, transform: `scale(${scale})`, colorScheme: prefers }}
      />
      {height > viewport.height && (
        <span
          className="fold"
          style={{ top: viewport.height * scale }}
          title={`Where a screen of ${viewport.width} × ${viewport.height} ends`}
        >
          {viewport.height}
        </span>
      )}
      {writing.writer && (
        <WritingBar
          writer={writing.writer}
          page={page}
          scale={scale}
          said={writing.said}
          isLinking={writing.isLinking}
          setLinking={writing.setLinking}
          bar={writing.bar}
        />
      )}
      {pictures.reading && (
        <p className="stage-reading" role="status">
          Reading {pictures.reading}…
        </p>
      )}
      {pictures.asking}
      {loaded && leads && candidate === undefined && <CentreGrip page={loaded.document} scale={scale} />}
      {loaded && leads && candidate === undefined && <Reference page={loaded.document} width={viewport.width} scale={scale} />}
      {loaded && leads && candidate === undefined && <WorstSpot page={loaded.document} id={page} width={viewport.width} scale={scale} />}
      {element && !writing.writer && (
        <Selection element={element} look={nearest(element, looks)?.look} width={viewport.width} scale={scale} />
      )}
    </div>
  );
}

const along = new Set<Window>();

/** Windows that stand beside each other show the same piece of their pages. */
function scrollsAlong(view: Window): () => void {
  const first = [...along][0];
  if (first) view.scrollTo(0, first.scrollY);
  along.add(view);
  const onScroll = () => {
    for (const other of along) if (other !== view && Math.abs(other.scrollY - view.scrollY) >= 1) other.scrollTo(0, view.scrollY);
  };
  view.addEventListener('scroll', onScroll, { passive: true });
  return () => {
    along.delete(view);
    view.removeEventListener('scroll', onScroll);
  };
}

const blockOf = (element: Element | null): string | null => element?.closest('[data-block]')?.getAttribute('data-block') ?? null;

/** The element that is selected: what was clicked where it stands in the selected block, else that block. */
function standsAt(page: Document, clicked: HTMLElement | null, selected: string | null): HTMLElement | null {
  if (!selected) return null;
  return clicked?.isConnected && blockOf(clicked) === selected ? clicked : page.querySelector<HTMLElement>(blockSelector(selected));
}

const blockSelector = (block: string) => `[data-block="${CSS.escape(block)}"]`;

function bringIntoSight(page: Document, block: string): void {
  page.querySelector(blockSelector(block))?.scrollIntoView({ block: 'nearest' });
}

/** Passes on what is pressed inside a frame: keys do there what they do elsewhere, and a press closes what is open. */
function passOn(page: Document, frame: HTMLIFrameElement): () => void {
  const onKey = (event: KeyboardEvent) => {
    if (takesText(event.target as Element)) return;
    if (!frame.dispatchEvent(new KeyboardEvent(event.type, event))) event.preventDefault();
  };
  const onPress = (event: Event) => {
    frame.dispatchEvent(new MouseEvent(event.type, { bubbles: true }));
  };
  page.addEventListener('keydown', onKey);
  page.addEventListener('keyup', onKey);
  page.addEventListener('mousedown', onPress);
  return () => {
    page.removeEventListener('keydown', onKey);
    page.removeEventListener('keyup', onKey);
    page.removeEventListener('mousedown', onPress);
  };
}
