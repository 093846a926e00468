import type { Edit, RequestFailed } from '../api/client';
import { newGesture } from './window';

/** Text that is being typed into a place. */
export interface Typing {
  edit: Edit;
  /** What it is typed into, in a designer's words. */
  name: string;
  /** A run of keys that undo takes back at once; one run until it is stored where none is named. */
  gesture?: string;
  /** Whether it is stored when the hand rests; otherwise when the place is left. */
  rests?: boolean;
  /** Whether it is shown on the stage meanwhile; it is unless said otherwise. */
  tried?: boolean;
}

/** Text that was typed into a place and is not stored yet. */
export interface Typed {
  edit: Edit;
  name: string;
  gesture: string;
  /** The version it was typed over: what others write meanwhile is put together with it, or asked about. */
  madeOn: number;
  /** The address of the window it was typed in. */
  at: string;
  /** Whether it is meant as it stands: the hand rests, or the place was left. */
  left: boolean;
  /** What stands in its way; null where nothing does. */
  wrong: Wrong | null;
  /** What was left here and is not stored yet either, over which this is typed: it stands again where this is given up. */
  over: Typed | null;
}

/** Why typed text is not stored: somebody else wrote in the same place, which waits for a decision; it is refused; or it could not be stored just now and is sent again. */
export interface Wrong {
  kind: 'clash' | 'refused' | 'failed';
  said: string;
}

/** What was typed, by the place it was typed into. */
export type TypedPlaces = Readonly<Record<string, Typed>>;

/** How long the hand rests before what it typed is stored, in ms. */
const PAUSE = 700;

/** How long after it was not heard it is sent again, in ms. */
const AGAIN = 3000;

/** How long after a key it is kept in the window's storage, in ms: a window that is closed keeps it at once. */
const KEEP = 200;

interface Surroundings {
  /** Where the window keeps it through a reload. */
  key: string;
  version: () => number;
  onChange: (places: TypedPlaces) => void;
  /** Stores an edit; resolves to what went wrong. */
  send: (typed: Typed, place: string) => Promise<RequestFailed | null>;
}

/** Typing over what is stored: kept from the first key, stored when the hand rests, and sent again until it is answered. */
export function createTyping({ key, version, onChange, send }: Surroundings) {
  let places: TypedPlaces = read(key);
  const timers = new Map<string, number>();
  const onTheWay = new Set<string>();
  let keeping = 0;
  let isOpen = false;

  const keep = () => {
    window.clearTimeout(keeping);
    keeping = 0;
    try {
      if (Object.keys(places).length === 0) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, JSON.stringify(places));
    } catch {
      // More than the window's storage takes: it is here for as long as the window is.
    }
  };

  const change = (place: string, typed: Typed | null) => {
    const others = Object.entries(places).filter(([other]) => other !== place);
    places = Object.fromEntries(typed === null ? others : [...others, [place, typed]]);
    if (keeping === 0 && isOpen) keeping = window.setTimeout(keep, KEEP);
    onChange(places);
  };
  const later = (place: string, wait: number) => {
    window.clearTimeout(timers.get(place));
    timers.set(
      place,
      window.setTimeout(() => void store(place), wait),
    );
  };

  const store = async (place: string): Promise<void> => {
    window.clearTimeout(timers.get(place));
    timers.delete(place);
    const before = places[place];
    if (!before) return;
    const typed = before.left ? before : { ...before, left: true, over: null };
    if (typed !== before) change(place, typed);
    if (onTheWay.has(place) || typed.wrong?.kind === 'clash') return;
    onTheWay.add(place);
    const failed = await send(typed, place);
    onTheWay.delete(place);
    const now = places[place];
    if (!now) return;
    if (failed === null) {
      if (now === typed) change(place, null);
      else if (now.left) await store(place);
      else change(place, { ...now, over: null });
    } else {
      const kind = failed.status === 409 ? 'clash' : failed.status === 0 || failed.status >= 500 ? 'failed' : 'refused';
      change(place, { ...now, wrong: { kind, said: failed.message } });
      // What has been typed since is not meant yet: it is sent when it is left.
      if (kind === 'failed' && now.left) later(place, AGAIN);
    }
  };

  return {
    /** What was typed before the window was loaded again. */
    kept: places,
    open: () => {
      isOpen = true;
      window.addEventListener('pagehide', keep);
    },
    /** The site is left: what is on its way is answered still. */
    close: () => {
      keep();
      isOpen = false;
      window.removeEventListener('pagehide', keep);
    },
    type: (place: string, { edit, name, gesture, rests = false }: Typing) => {
      const before = places[place];
      // Another run of keys: the one before it is an edit of its own.
      if (before && gesture !== undefined && before.gesture !== gesture) void store(place);
      change(place, {
        edit,
        name,
        // What was left is an edit of its own, though it may be on its way still.
        gesture: gesture ?? (before && !before.left ? before.gesture : newGesture()),
        madeOn: before?.madeOn ?? version(),
        at: location.pathname + location.search,
        left: false,
        wrong: before?.wrong?.kind === 'refused' ? null : (before?.wrong ?? null),
        over: rests ? null : before?.left && before.wrong?.kind !== 'refused' ? before : (before?.over ?? null),
      });
      // Whatever waited to be sent again is typed over just now.
      window.clearTimeout(timers.get(place));
      timers.delete(place);
      if (rests) later(place, PAUSE);
    },
    store: (place: string) => void store(place),
    /** Stores whatever is meant as it stands: what is being typed is not yet, and what is refused or asked about waits for the designer. */
    storeAll: () => {
      for (const [place, { left, wrong }] of Object.entries(places))
        if (left && (wrong === null || wrong.kind === 'failed')) void store(place);
    },
    /** What was typed stands, whatever others wrote in the same place. */
    keepMine: (place: string) => {
      const typed = places[place];
      if (!typed) return;
      change(place, { ...typed, madeOn: version(), wrong: null });
      void store(place);
    },
    /** What is typed just now is given up: what was left there before stands, or else what is stored. */
    takeStored: (place: string) => {
      const now = places[place];
      change(place, now && !now.left ? now.over : null);
      void store(place);
    },
  };
}

function read(key: string): TypedPlaces {
  try {
    const kept = (JSON.parse(sessionStorage.getItem(key) ?? '{}') ?? {}) as Record<
      string,
      Omit<Typed, 'over'> & Partial<Pick<Typed, 'over'>>
    >;
    // A window that is loaded again has left every place; one that was kept before it could be said has nothing under it.
    return Object.fromEntries(Object.entries(kept).map(([place, typed]) => [place, { ...typed, left: true, over: typed.over ?? null }]));
  } catch {
    return {};
  }
}

/** The text an edit carries. */
export function textOf(edit: Edit): string {
  if ('html' in edit) return new DOMParser().parseFromString(edit.html, 'text/html').body.textContent ?? '';
  if ('css' in edit) return edit.css;
  if ('text' in edit) return edit.text ?? '';
  if ('label' in edit) return edit.label ?? '';
  return 'name' in edit ? (edit.name ?? '') : '';
}
