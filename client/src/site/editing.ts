import { replaceEqualDeep } from '@tanstack/react-query';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { CatalogueView, Edit, HistoryView, RequestFailed, SiteView, TrialAnswer } from '../api/client';
import { withChanges } from './changes';
import { openLive, type Live } from './live';
import { requestsOf, type EditAnswer, type OpenedSite } from './requests';
import { changedSheet, withText, type Sheet } from './sheet';
import { createTrials } from './trials';
import { createTyping, type TypedPlaces } from './typing';
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
  /** Whether an edit is being stored. */
  saving: boolean;
  /** What went wrong last, in words; null when nothing did. */
  trouble: string | null;
  /** What is wrong with the value being tried; null when it can be read. */
  refused: string | null;
  attempt: (edit: Edit) => void;
  cancelTrial: () => void;
  /** What was typed and is not stored yet, by its place. */
  typed: TypedPlaces;
  /** Types over what is stored: it is tried, kept, and stored when the hand rests. */
  type: (place: string, edit: Edit, gesture: string) => void;
  /** Stores what was typed without waiting. */
  storeTyped: (place: string) => void;
  /** Of what was typed over what somebody else wrote meanwhile, one stands. */
  keepMine: (place: string) => void;
  takeStored: (place: string) => void;
  /** Makes an edit; resolves to what is wrong with it, or null once it is stored. */
  /** @param madeOn the version it was made on, where that is not the one at hand */
  make: (edit: Edit, gesture?: string, madeOn?: number) => Promise<string | null>;
  reverse: (way: 'undo' | 'redo', overwrite?: boolean) => Promise<string | null>;
  /** Goes back to a snapshot as one edit. */
  bringBack: (snapshot: string) => Promise<string | null>;
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
    const trials = createTrials({
      send: async (edit) => live?.tryEdit({ version: get().site.version, edit, pages: [...new Set(onStage.values())] }),
      onStart: () => set((s) => ({ pending: s.pending + 1 })),
      onEnd: () => set((s) => ({ pending: s.pending - 1 })),
      onAnswer: (trial) => set({ trial, refused: null }),
      onRefused: (refused) => set({ refused }),
      onLost: (trouble) => set({ trial: null, trouble }),
    });

    /** Takes over the site as it is now: branches that are as they were keep their identity. */
    const takeWhole = ({ site, sheet, history }: OpenedSite) =>
      set((s) => ({ site: replaceEqualDeep(s.site, site), sheet: replaceEqualDeep(s.sheet, withText(sheet)), history }));

    const reload = async () => {
      const fresh = await requests.read();
      // An edit may have been answered meanwhile: what is older than that is not taken.
      if (fresh.site.version >= get().site.version) takeWhole(fresh);
    };

    const take = async ({ from, version, changes, sheet, history }: EditAnswer) => {
      // What others did since the version at hand is in the site it changed: only the whole of it will do.
      if (from !== get().site.version) await reload();
      else set((s) => ({ site: withChanges(s.site, changes), sheet: changedSheet(s.sheet, version, sheet), history }));
      set({ trial: null, refused: null, trouble: null });
    };

    /** One after the other, so that each is made on the version the one before it led to. */
    const inTurn = (send: (version: number) => Promise<EditAnswer>, saidAtItsPlace = false): Promise<RequestFailed | null> => {
      trials.clear();
      set((s) => ({ pending: s.pending + 1, saving: true }));
      const done = queue.then(async () => {
        try {
          await take(await send(get().site.version));
          return null;
        } catch (failed) {
          const { message, status } = failed as RequestFailed;
          set({ trial: null, refused: null, trouble: status === 400 || saidAtItsPlace ? null : message });
          if (status === 409 || status === 404) await reload().catch(() => undefined);
          return failed as RequestFailed;
        } finally {
          set((s) => ({ pending: s.pending - 1, saving: false }));
        }
      });
      queue = done;
      return done;
    };

    const said = async (made: Promise<RequestFailed | null>) => (await made)?.message ?? null;

    const typing = createTyping({
      key: typedKey(opened.site.slug),
      version: () => get().site.version,
      onChange: (typed) => set({ typed }),
      send: (typed) => inTurn((version) => requests.make(Math.min(version, typed.madeOn), typed.edit, typed.gesture), true),
    });

    return {
      catalogue,
      site: opened.site,
      sheet: withText(opened.sheet),
      history: opened.history,
      trial: null,
      pending: 0,
      saving: false,
      trouble: null,
      refused: null,
      attempt: (edit) => {
        trials.push(edit);
      },
      cancelTrial: () => {
        trials.clear();
        set({ trial: null, refused: null });
      },
      make: (edit, gesture = newGesture(), madeOn = Infinity) =>
        said(inTurn((version) => requests.make(Math.min(version, madeOn), edit, gesture), madeOn !== Infinity)),
      reverse: (way, overwrite = false) => said(inTurn((version) => requests.reverse(version, way, overwrite))),
      bringBack: (snapshot) => said(inTurn((version) => requests.bringBack(version, snapshot))),
      typed: typing.kept,
      type: (place, edit, gesture) => {
        trials.push(edit);
        typing.type(place, edit, gesture);
      },
      storeTyped: (place) => void typing.store(place),
      keepMine: typing.keepMine,
      takeStored: (place) => {
        trials.clear();
        set({ trial: null, refused: null });
        typing.takeStored(place);
      },
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
            if (connected) typing.storeAll();
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
