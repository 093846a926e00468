const KEY = 'sandbar-window';

/** What tells this window from others, kept through a reload. */
export const windowId: string = (() => {
  const kept = sessionStorage.getItem(KEY);
  const id = kept ?? crypto.randomUUID();
  if (!kept) sessionStorage.setItem(KEY, id);
  return id;
})();

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

export const newGesture = (): string => crypto.randomUUID();
