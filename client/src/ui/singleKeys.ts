import { create } from 'zustand';

const KEY = 'sandbar-single-keys';

/** Whether keys without Ctrl do something outside fields; they can be turned off (WCAG 2.2, 2.1.4). */
export const useSingleKeys = create<{ on: boolean; turn: (on: boolean) => void }>((set) => ({
  on: localStorage.getItem(KEY) !== 'off',
  turn: (on) => {
    localStorage.setItem(KEY, on ? 'on' : 'off');
    set({ on });
  },
}));

/** The key of an event that stands alone, outside fields and open dialogs; null otherwise. */
export function singleKey(event: KeyboardEvent): string | null {
  if (!useSingleKeys.getState().on || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return null;
  const target = event.target as Element;
  if (target.closest('input, textarea, select, [contenteditable="true"], [role="combobox"], [role="dialog"], [role="menu"]')) return null;
  return event.key.length === 1 ? event.key.toLowerCase() : null;
}
