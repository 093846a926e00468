const KEY = 'sandbar-window';

/** How long a window that is being reloaded may take to let go of its name, in ms: on a busy machine long, and what was typed goes with the name. */
const PATIENCE = 2500;

/** What tells this window from others, kept through a reload. */
export let windowId: string = sessionStorage.getItem(KEY) ?? named();

/** The version this window found when it first opened a site: undo reaches back beyond it, but not into what others do later. */
export function openedAt(slug: string, version: number): number {
  const key = `${KEY}-${slug}`;
  const kept = sessionStorage.getItem(key);
  if (kept !== null) return Number(kept);
  sessionStorage.setItem(key, String(version));
  return version;
}

/** The version this window found when it first opened a site; undefined where it has not yet. */
export function keptOpenedAt(slug: string): number | undefined {
  const kept = sessionStorage.getItem(`${KEY}-${slug}`);
  return kept === null ? undefined : Number(kept);
}

/** Where this window keeps what was typed and is not stored yet. */
export const typedKey = (slug: string): string => `${KEY}-typed-${slug}`;

/** Where this window keeps what stands in a form and is not sent yet. */
export const draftKey = (slug: string, form: string): string => `${KEY}-draft-${slug}-${form}`;

export const newGesture = (): string => crypto.randomUUID();

/** Holds on to the window's name. One that was made by duplicating another brought that one's: it is a window of its own from here on. */
export async function claimWindow(): Promise<void> {
  // Browsers have locks where a page comes from this machine or over TLS; elsewhere there is no telling.
  if (!('locks' in navigator) || (await holds(windowId))) return;
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(KEY)) sessionStorage.removeItem(key);
  windowId = named();
  await holds(windowId);
}

function named(): string {
  const id = crypto.randomUUID();
  sessionStorage.setItem(KEY, id);
  return id;
}

/** Whether no other window holds the name. It is held for as long as this one is there. */
function holds(id: string): Promise<boolean> {
  return new Promise((resolve) => {
    navigator.locks
      .request(`${KEY}-${id}`, { signal: AbortSignal.timeout(PATIENCE) }, () => {
        resolve(true);
        return new Promise<void>(() => undefined);
      })
      .catch(() => resolve(false));
  });
}
