import { create } from 'zustand';

const KEY = 'sandbar-single-keys';

/** Whether keys without Ctrl or Alt do something outside fields; they can be turned off (WCAG 2.2, 2.1.4). */
export const useSingleKeys = create<{ on: boolean; turn: (on: boolean) => void }>((set) => ({
  on: localStorage.getItem(KEY) !== 'off',
  turn: (on) => {
    localStorage.setItem(KEY, on ? 'on' : 'off');
    set({ on });
  },
}));

/** Where letters are typed: keys that write or take back are the field's own. A Select that is not searched in takes none. */
export const takesText = (target: Element): boolean =>
  target.closest(
    'textarea, [contenteditable="true"], input:not([readonly], [type="range"], [type="radio"], [type="checkbox"], [type="file"], [type="button"])',
  ) !== null;

/** Where keys choose: an open list, a menu, a dialog. */
const choosing = (target: Element): boolean =>
  target.closest('[role="dialog"], [role="menu"], [role="listbox"], [aria-expanded="true"][role="combobox"]') !== null;

/** The keys that stand alone outside fields, and go with Alt everywhere. */
export const LONE_KEYS = ['/', 'b', 'f', 'n', 'w'] as const;
export type LoneKey = (typeof LONE_KEYS)[number];

/** By what is printed on the key where Alt would turn it into another letter. */
const CODES: Record<string, LoneKey> = { Slash: '/', KeyB: 'b', KeyF: 'f', KeyN: 'n', KeyW: 'w' };

/** Which of the keys that do something by themselves an event is; null where it is none, or means something else where it was pressed. */
export function loneKey(event: KeyboardEvent): LoneKey | null {
  if (event.ctrlKey || event.metaKey || event.defaultPrevented) return null;
  const key = LONE_KEYS.find((k) => k === event.key.toLowerCase()) ?? null;
  if (event.altKey) return key ?? CODES[event.code] ?? null;
  const target = event.target as Element;
  return useSingleKeys.getState().on && !takesText(target) && !choosing(target) ? key : null;
}

/** A form that Escape gives up. */
export const onEscape = (act: () => void) => (event: { key: string; preventDefault: () => void }) => {
  if (event.key !== 'Escape') return;
  event.preventDefault();
  act();
};
