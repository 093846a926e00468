import { useQuery } from '@tanstack/react-query';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { answered, api, RequestFailed, type Edit, type SheetView, type SiteView, type TrialAnswer } from './client';
import { latestWins } from './latestWins';
import { openLive, type Live } from './live';
import { newGesture, openedAt, windowId } from './window';

/** What a window knows of the site it edits. */
export interface Editing {
  site: SiteView;
  sheet: SheetView;
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
  /** Makes an edit; resolves to what is wrong with it, or null once it is stored. */
  make: (edit: Edit, gesture?: string) => Promise<string | null>;
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
  before: (SheetView & { since: Earlier }) | null;
  /** Shows the stage as it was earlier, or with null as it is. */
  showBefore: (since: Earlier | null) => void;
}

/** Before the last edit, or when a state was named last. */
export type Earlier = 'edit' | 'name';

export type EditingStore = UseBoundStore<StoreApi<Editing>>;

/** The editing of one site: trials as the hand moves, edits one after the other. */
export function createEditing(site: SiteView, sheet: SheetView, opened: number): EditingStore {
  const path = { slug: site.slug };
  const answeredEdits = { queue: Promise.resolve() as Promise<unknown> };

  let wantsBefore: Earlier | null = null;
  let live: Live | null = null;
  const onStage = new Map<symbol, string>();

  return create<Editing>((set, get) => {
    const trials = latestWins<Edit, TrialAnswer | RequestFailed>(
      async (edit) => {
        set((s) => ({ pending: s.pending + 1 }));
        try {
          const start = performance.now();
          const result = await live?.tryEdit({ version: get().site.version, edit, pages: [...new Set(onStage.values())] });
          performance.measure('trial', { start, detail: { core: result?.coreTime } });
          if (result?.answer) return result.answer;
          const problem = result?.problems[0];
          return problem ? new RequestFailed({ detail: problem.message }, 400) : new RequestFailed(undefined, 409);
        } catch {
          return new RequestFailed(undefined, 0);
        } finally {
          set((s) => ({ pending: s.pending - 1 }));
        }
      },
      (result) => {
        if (!(result instanceof RequestFailed)) set({ trial: result, refused: null });
        else if (result.status === 400) set({ refused: result.message });
        // A conflict is met again when the edit is made; a lost connection brings back what is stored.
        else if (result.status === 0) set({ trial: null, trouble: result.message });
      },
    );

    const take = (answer: { site: SiteView; sheet: SheetView }) =>
      set({ site: answer.site, sheet: answer.sheet, trial: null, refused: null, trouble: null });

    const reload = async () => {
      const query = { window: windowId, openedAt: opened };
      const [freshSite, freshSheet] = await Promise.all([
        answered(api.GET('/api/sites/{slug}', { params: { path, query } })),
        answered(api.GET('/api/sites/{slug}/sheet', { params: { path } })),
      ]);
      // An edit may have been answered meanwhile: what is older than that is not taken.
      if (freshSite.version >= get().site.version) set({ site: freshSite, sheet: freshSheet });
    };

    /** One after the other, so that each is made on the version the one before it led to. */
    const inTurn = (send: () => Promise<{ site: SiteView; sheet: SheetView }>): Promise<string | null> => {
      trials.clear();
      set((s) => ({ pending: s.pending + 1, saving: true }));
      const done = answeredEdits.queue.then(async () => {
        try {
          take(await send());
          return null;
        } catch (failed) {
          const { message, status } = failed as RequestFailed;
          set({ trial: null, refused: null, trouble: status === 400 ? null : message });
          if (status === 409 || status === 404) await reload().catch(() => undefined);
          return message;
        } finally {
          set((s) => ({ pending: s.pending - 1, saving: false }));
        }
      });
      answeredEdits.queue = done;
      return done;
    };

    return {
      site,
      sheet,
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
      make: (edit, gesture = newGesture()) =>
        inTurn(() =>
          answered(
            api.POST('/api/sites/{slug}/edits', {
              params: { path },
              body: { version: get().site.version, window: windowId, openedAt: opened, gesture, edit },
            }),
          ),
        ),
      reverse: (way, overwrite = false) =>
        inTurn(() =>
          answered(
            api.POST(way === 'undo' ? '/api/sites/{slug}/undo' : '/api/sites/{slug}/redo', {
              params: { path },
              body: { version: get().site.version, window: windowId, openedAt: opened, gesture: newGesture(), overwrite },
            }),
          ),
        ),
      bringBack: (snapshot) =>
        inTurn(() =>
          answered(
            api.POST('/api/sites/{slug}/snapshots/{id}/back', {
              params: { path: { ...path, id: snapshot } },
              body: { version: get().site.version, window: windowId, openedAt: opened, gesture: newGesture() },
            }),
          ),
        ),
      forgetTrouble: () => set({ trouble: null }),
      connected: true,
      connect: () => {
        let reloading: Promise<void> | null = null;
        let newest = 0;
        const catchUp = async () => {
          while (newest > get().site.version) await reload();
        };
        const connection = openLive(site.slug, {
          onConnected: (connected) => set({ connected }),
          onVersion: (version, window) => {
            if (window === windowId) return;
            newest = Math.max(newest, version);
            reloading ??= catchUp()
              .catch(() => undefined)
              .finally(() => (reloading = null));
          },
        });
        live = connection;
        return () => {
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
        void answered(api.GET('/api/sites/{slug}/sheet', { params: { path, query: { before: since } } }))
          .then((sheetBefore) => {
            if (wantsBefore === since) set({ before: { ...sheetBefore, since } });
          })
          .catch((failed: RequestFailed) => set({ trouble: failed.message }));
      },
    };
  });
}

/** Opens a site for editing. */
export function useOpenSite(slug: string) {
  return useQuery({
    queryKey: ['site', slug],
    queryFn: async () => {
      const path = { slug };
      const kept = sessionStorage.getItem(`sandbar-window-${slug}`);
      const query = kept === null ? { window: windowId } : { window: windowId, openedAt: Number(kept) };
      const [site, sheet] = await Promise.all([
        answered(api.GET('/api/sites/{slug}', { params: { path, query } })),
        answered(api.GET('/api/sites/{slug}/sheet', { params: { path } })),
      ]);
      return createEditing(site, sheet, openedAt(slug, site.version));
    },
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
  });
}
