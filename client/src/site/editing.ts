import { replaceEqualDeep } from '@tanstack/react-query';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { CatalogueView, Edit, HistoryView, RequestFailed, SiteView, TrialAnswer } from '../api/client';
import { withChanges } from './changes';
import { openLive, type Live } from './live';
import { readablePicture } from './readablePicture';
import { requestsOf, type EditAnswer, type OpenedSite, type PictureSpot, type PostSpot } from './requests';
import { changedSheet, withText, type Sheet } from './sheet';
import { createTrials } from './trials';
import { createTyping, type TypedPlaces, type Typing } from './typing';
import { newGesture, typedKey, windowId } from './window';

/** What a window knows of the site it edits. */
export interface Editing {
  /** What is the same for every site. */
  catalogue: CatalogueView;
  site: SiteView;
  sheet: Sheet;
  history: HistoryView;
  /** What is shown on the stage and not yet made. */
  trial: TrialAnswer | null;
  /** Edits sent and not yet answered, and trials being computed. */
  pending: number;
  /** Edits being stored. */
  saving: number;
  /** What went wrong last, in words; null when nothing did. */
  trouble: string | null;
  /** What is wrong with the value being tried, and whose trial it is; null when it can be read. */
  refused: Refused | null;
  /**
   * Shows an edit on the stage without making it.
   * @param owner what tries it: the trial ends when its owner ends it, makes an edit, or another takes its place
   */
  attempt: (edit: Edit, owner: Owner) => void;
  /** Ends a trial, where it is its owner's. */
  cancelTrial: (owner: Owner) => void;
  /** What was typed and is not stored yet, by its place. */
  typed: TypedPlaces;
  /** Types over what is stored: it is tried, kept, and stored when the hand rests. */
  type: (place: string, typed: Typing) => void;
  /** Stores what was typed without waiting. */
  storeTyped: (place: string) => void;
  /** Of what was typed over what somebody else wrote meanwhile, one stands. */
  keepMine: (place: string) => void;
  takeStored: (place: string) => void;
  /** Makes an edit; resolves to what is wrong with it, or null once it is stored. A refusal is told to the designer unless its maker says it at its place. */
  make: (edit: Edit, making?: Making) => Promise<string | null>;
  /** Undo or redo; resolves to what somebody else has changed since in the same values, or null. */
  reverse: (way: 'undo' | 'redo', overwrite?: boolean) => Promise<string | null>;
  /** Adds a font file to a family, or to the one that fits; resolves to what is wrong with it, or the family's id. */
  addFont: (file: File, family: string | null, replaces: string | null) => Promise<{ wrong: string } | { family: string }>;
  /** Puts a picture on the shelf and shows it; resolves to what is wrong with it, or null. */
  addPicture: (file: File, spot: PictureSpot | PostSpot | null, making?: Pick<Making, 'saidAtItsPlace'>) => Promise<string | null>;
  /** Gives a picture of the shelf another file; resolves to what is wrong with it, or null. */
  replacePicture: (file: File, picture: string) => Promise<string | null>;
  /** Puts a clip on the shelf: a file, or one that is elsewhere; resolves to what is wrong with it, or null. */
  addClip: (clip: File | { name: string; address: string }) => Promise<string | null>;
  /** Goes back to a snapshot as one edit. */
  bringBack: (snapshot: string) => Promise<string | null>;
  /** Tells the designer what could not be done. */
  tell: (trouble: string) => void;
  forgetTrouble: () => void;
  /** Whether the server is heard. */
  connected: boolean;
  /** Follows what other windows do, until the returned function is called. */
  connect: () => () => void;
  /** Says that a page is on the stage, so that trials answer with its HTML, until the returned function is called. */
  watch: (page: string) => () => void;
  /** The sheet as it was earlier, while it is asked for. */
  before: (Sheet & { since: Earlier }) | null;
  /** Shows the stage as it was earlier, or with null as it is. */
  showBefore: (since: Earlier | null) => void;
}

/** What a trial belongs to: a component, or the place that is typed into. */
export type Owner = object | string;

export interface Refused {
  owner: Owner;
  said: string;
}

export interface Making {
  /** Edits of one gesture are undone at once. */
  gesture?: string;
  /** Whose trial this ends. */
  owner?: Owner;
  /** Whether a refusal is shown where the value stands. */
  saidAtItsPlace?: boolean;
  /** Whether the stage shows it, as the owner's trial, before it is stored. */
  isShownFirst?: boolean;
}

/** Before the last edit, or when a state was named last. */
export type Earlier = 'edit' | 'name';

export type EditingStore = UseBoundStore<StoreApi<Editing>>;

/** The editing of one site: trials as the hand moves, edits one after the other. */
export function createEditing(opened: OpenedSite, catalogue: CatalogueView, openedAt: number): EditingStore {
  const requests = requestsOf(opened.site.slug, openedAt);
  const onStage = new Map<symbol, string>();
  let queue: Promise<unknown> = Promise.resolve();
  let wantsBefore: Earlier | null = null;
  let live: Live | null = null;

  return create<Editing>((set, get) => {
    /** What is being tried: again, whenever the site has changed under it. */
    let tried: { edit: Edit; owner: Owner } | null = null;
    const trials = createTrials({
      send: async (edit) => live?.tryEdit({ version: get().site.version, edit, pages: [...new Set(onStage.values())] }),
      onStart: () => set((s) => ({ pending: s.pending + 1 })),
      onEnd: () => set((s) => ({ pending: s.pending - 1 })),
      // What was computed for a site that has changed meanwhile is being tried again.
      onAnswer: (trial) => {
        if (trial.version === get().site.version) set({ trial, refused: null });
      },
      onRefused: (said) => set({ refused: tried && { owner: tried.owner, said } }),
      // Said once, by the state of the connection, and tried again when that is back.
      onLost: (trouble) => set({ trial: null, trouble: get().connected ? trouble : null }),
    });
    const attempt = (edit: Edit, owner: Owner) => {
      tried = { edit, owner };
      if (get().connected) trials.push(edit);
    };
    const tryAgain = () => {
      if (tried) attempt(tried.edit, tried.owner);
    };
    const letGo = (owner: Owner | undefined) => {
      if (!tried || tried.owner !== owner) return false;
      tried = null;
      trials.clear();
      return true;
    };
    const cancelTrial = (owner: Owner) => {
      if (letGo(owner)) set({ trial: null, refused: null });
    };

    /** Takes over the site as it is now: branches that are as they were keep their identity. */
    const takeWhole = ({ site, sheet, history }: OpenedSite) => {
      set((s) => ({ site: replaceEqualDeep(s.site, site), sheet: replaceEqualDeep(s.sheet, withText(sheet)), history, trial: null }));
      tryAgain();
    };

    const reload = async () => {
      const fresh = await requests.read();
      // An edit may have been answered meanwhile: what is older than that is not taken.
      if (fresh.site.version >= get().site.version) takeWhole(fresh);
    };

    const take = async ({ from, version, changes, sheet, history }: EditAnswer) => {
      // What others did since the version at hand is in the site it changed: only the whole of it will do.
      if (from !== get().site.version) await reload();
      else {
        set((s) => ({
          site: withChanges(s.site, changes),
          sheet: changedSheet(s.sheet, version, sheet),
          history,
          trial: null,
          refused: null,
        }));
        tryAgain();
      }
    };

    /** One after the other, so that each is made on the version the one before it led to. */
    const inTurn = (send: (version: number) => Promise<EditAnswer>, owner?: Owner, shown?: Edit): Promise<RequestFailed | null> => {
      let ends = letGo(owner);
      if (shown && owner !== undefined) attempt(shown, owner);
      set((s) => ({ pending: s.pending + 1, saving: s.saving + 1 }));
      const done = queue.then(async () => {
        try {
          const answer = await send(get().site.version).finally(() => (ends = (shown !== undefined && letGo(owner)) || ends));
          await take(answer);
          return null;
        } catch (failed) {
          const { status } = failed as RequestFailed;
          if (ends) set({ trial: null, refused: null });
          if (status === 409 || status === 404) await reload().catch(() => undefined);
          return failed as RequestFailed;
        } finally {
          set((s) => ({ pending: s.pending - 1, saving: s.saving - 1 }));
        }
      });
      queue = done;
      return done;
    };

    /** What went wrong is told, unless it is said at its place. */
    const told = (failed: RequestFailed | null, saidAtItsPlace = false) => {
      if (failed && !saidAtItsPlace) set({ trouble: failed.message });
      return failed?.message ?? null;
    };

    const typing = createTyping({
      key: typedKey(opened.site.slug),
      version: () => get().site.version,
      onChange: (typed) => set({ typed }),
      send: async (typed, place) => {
        const failed = await inTurn((version) => requests.make(Math.min(version, typed.madeOn), typed.edit, typed.gesture), place);
        // Where it is typed may have come into sight on the way, and tried it once more.
        if (failed === null && tried?.edit === typed.edit) cancelTrial(place);
        return failed;
      },
    });

    return {
      catalogue,
      site: opened.site,
      sheet: withText(opened.sheet),
      history: opened.history,
      trial: null,
      pending: 0,
      saving: 0,
      trouble: null,
      refused: null,
      attempt,
      cancelTrial,
      make: async (edit, { gesture = newGesture(), owner, saidAtItsPlace, isShownFirst } = {}) =>
        told(await inTurn((version) => requests.make(version, edit, gesture), owner, isShownFirst ? edit : undefined), saidAtItsPlace),
      reverse: async (way, overwrite = false) => {
        // What was typed comes before what is taken back.
        typing.storeAll();
        const failed = await inTurn((version) => requests.reverse(version, way, overwrite));
        return failed?.status === 409 && !overwrite ? failed.message : told(failed) && null;
      },
      addFont: async (file, family, replaces) => {
        let into = family ?? '';
        const failed = await inTurn(async (version) => {
          const added = await requests.addFont(version, file, family, replaces);
          into = added.family;
          return added.edit;
        });
        return failed ? { wrong: failed.message } : { family: into };
      },
      addPicture: async (given, spot, { saidAtItsPlace } = {}) => {
        const file = await readablePicture(given);
        return told(await inTurn((version) => requests.addPicture(version, file, spot)), saidAtItsPlace);
      },
      replacePicture: async (given, picture) => {
        const file = await readablePicture(given);
        return told(await inTurn((version) => requests.replacePicture(version, file, picture)), true);
      },
      addClip: async (clip) => told(await inTurn((version) => requests.addClip(version, clip)), true),
      bringBack: async (snapshot) => told(await inTurn((version) => requests.bringBack(version, snapshot))),
      typed: typing.kept,
      type: (place, typed) => {
        if (typed.tried !== false) attempt(typed.edit, place);
        typing.type(place, typed);
      },
      storeTyped: typing.store,
      keepMine: typing.keepMine,
      takeStored: (place) => {
        cancelTrial(place);
        typing.takeStored(place);
      },
      tell: (trouble) => set({ trouble }),
      forgetTrouble: () => set({ trouble: null }),
      connected: true,
      connect: () => {
        let reloading: Promise<void> | null = null;
        let newest = 0;
        const catchUp = async () => {
          while (newest > get().site.version) await reload();
        };
        const connection = openLive(opened.site.slug, {
          onConnected: (connected) => {
            set({ connected });
            if (!connected) return;
            typing.storeAll();
            tryAgain();
          },
          onVersion: (version, window) => {
            if (window === windowId) return;
            newest = Math.max(newest, version);
            reloading ??= catchUp()
              .catch(() => undefined)
              .finally(() => (reloading = null));
          },
        });
        live = connection;
        typing.open();
        return () => {
          typing.close();
          connection.close();
          if (live === connection) live = null;
        };
      },
      watch: (page) => {
        const frame = Symbol(page);
        onStage.set(frame, page);
        return () => onStage.delete(frame);
      },
      before: null,
      showBefore: (since) => {
        wantsBefore = since;
        if (since === null) {
          if (get().before) set({ before: null });
          return;
        }
        void requests
          .earlierSheet(since)
          .then((sheet) => {
            if (wantsBefore === since) set({ before: { ...withText(sheet), since } });
          })
          .catch((failed: RequestFailed) => set({ trouble: failed.message }));
      },
    };
  });
}
