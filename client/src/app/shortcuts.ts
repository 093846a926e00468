import { App } from 'antd';
import { useCallback, useEffect } from 'react';
import type { Earlier } from '../site/editing';
import { useStageView } from '../stage/view';
import { useActions } from '../site/editingContext';
import { singleKey } from '../ui/singleKeys';

/** The keys, as they are told to the designer. */
export const KEYS: { keys: string; does: string; single: boolean }[] = [
  { keys: 'Ctrl Z', does: 'Undo', single: false },
  { keys: 'Ctrl Y', does: 'Redo', single: false },
  { keys: '/', does: 'Find a step, part, setting or page', single: true },
  { keys: 'W', does: 'The stage alone, and back', single: true },
  { keys: 'B, held', does: 'The stage as it was before the last edit', single: true },
  { keys: 'N, held', does: 'The stage as it was when a state was named last', single: true },
];

/** What is looked back at while a key is held. */
const EARLIER: Record<string, Earlier> = { b: 'edit', n: 'name' };

/** Undo or redo; where somebody else has changed the same values since, it asks first. */
export function useReverse(): (way: 'undo' | 'redo') => Promise<void> {
  const { reverse } = useActions();
  const { modal } = App.useApp();
  return useCallback(
    async (way) => {
      const trouble = await reverse(way);
      if (trouble === null || trouble.startsWith('There is nothing')) return;
      modal.confirm({
        title: way === 'undo' ? 'Undo it all the same?' : 'Redo it all the same?',
        content: `${trouble} Going ahead puts your value in its place.`,
        okText: way === 'undo' ? 'Undo' : 'Redo',
        onOk: () => reverse(way, true),
      });
    },
    [modal, reverse],
  );
}

/** Ctrl or Cmd with Z and Y outside fields, which have an undo of their own; and the single keys. */
export function useShortcuts(onFind: () => void): void {
  const reverse = useReverse();
  const { showBefore } = useActions();
  const [{ whole }, change] = useStageView();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && !event.altKey && (key === 'z' || key === 'y')) {
        if ((event.target as Element).closest('input, textarea, [contenteditable="true"]')) return;
        event.preventDefault();
        void reverse(key === 'y' || event.shiftKey ? 'redo' : 'undo');
        return;
      }
      if (key === 'escape' && whole && !(event.target as Element).closest('[role="dialog"], [role="menu"]')) change({ whole: false });
      const single = singleKey(event);
      if (single === '/') {
        event.preventDefault();
        onFind();
      } else if (single === 'w') change({ whole: !whole });
      else if (single !== null && single in EARLIER && !event.repeat) showBefore(EARLIER[single] ?? null);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() in EARLIER) showBefore(null);
    };
    const onBlur = () => showBefore(null);
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKeyUp);
    window.addEventListener('blur', onBlur);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onKeyUp);
      window.removeEventListener('blur', onBlur);
    };
  }, [reverse, showBefore, onFind, whole, change]);
}
