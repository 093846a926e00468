import { App } from 'antd';
import { useCallback, useEffect } from 'react';
import type { Earlier } from '../site/editing';
import { useCandidates } from '../site/candidates';
import { useActions } from '../site/editingContext';
import { readView, useStageView } from '../stage/view';
import { loneKey, takesText } from '../ui/keys';

/** The keys, as they are told to the designer. Those that stand alone can be turned off, and go with Alt everywhere. */
export const KEYS: { keys: string; does: string; lone: boolean }[] = [
  { keys: 'Ctrl Z', does: 'Undo', lone: false },
  { keys: 'Ctrl Y', does: 'Redo', lone: false },
  { keys: '/', does: 'Find a step, part, setting or page', lone: true },
  { keys: 'W', does: 'The stage alone, and back', lone: true },
  { keys: 'B, held', does: 'The stage as it was before the last edit', lone: true },
  { keys: 'N, held', does: 'The stage as it was when a state was named last', lone: true },
  { keys: 'F', does: 'Side by side: left becomes right', lone: true },
  { keys: 'Alt / W B N F', does: 'The same from everywhere, also while typing', lone: false },
  {
    keys: '← → ↑ ↓',
    does: 'In tables, from cell to cell; on the stage, to the next element, the one around it and the one within',
    lone: false,
  },
  { keys: 'Enter', does: 'On the stage, writes in the element in hand, as a double click does; Escape ends it', lone: false },
  { keys: 'Ctrl B I E K', does: 'While writing there: strong, emphasis, code, link', lone: false },
  { keys: 'Tab', does: 'While writing there: an item into the one before it, Shift Tab out of it; in a table, the next cell', lone: false },
  {
    keys: 'Alt ↑ ↓',
    does: 'In the list of colours and in the outline, moves what is in hand; there Alt ← and → lead out and in',
    lone: false,
  },
  { keys: 'Shift ↑ ↓', does: 'In the outline, chooses the next one too; Space chooses or lets go of one', lone: false },
  { keys: '=', does: 'In a cell, lists what can be named', lone: false },
  { keys: 'Delete', does: 'In a cell, returns to what it inherits', lone: false },
];

/** What is looked back at while a key is held. */
const EARLIER: Partial<Record<string, Earlier>> = { b: 'edit', n: 'name' };

/** Undo or redo; where somebody else has changed the same values since, it asks first. */
export function useReverse(): (way: 'undo' | 'redo') => Promise<void> {
  const { reverse } = useActions();
  const { modal } = App.useApp();
  return useCallback(
    async (way) => {
      const changed = await reverse(way);
      if (changed === null) return;
      modal.confirm({
        title: way === 'undo' ? 'Undo it all the same?' : 'Redo it all the same?',
        content: `${changed} Going ahead puts your value in its place.`,
        okText: way === 'undo' ? 'Undo' : 'Redo',
        onOk: () => reverse(way, true),
      });
    },
    [modal, reverse],
  );
}

/** Whether the stage has the window, by the address at this very moment: the next key may come before the drawing is over. */
const isWhole = () => readView(new URLSearchParams(window.location.search)).whole;

/** Ctrl or Cmd with Z and Y outside fields, which have an undo of their own; and the keys that stand alone. Keys pressed on the stage come here too. */
export function useShortcuts(onFind: () => void): void {
  const reverse = useReverse();
  const { showBefore } = useActions();
  const [, change] = useStageView();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const target = event.target as Element;
      if ((event.ctrlKey || event.metaKey) && !event.altKey && (key === 'z' || key === 'y')) {
        if (takesText(target) || event.defaultPrevented) return;
        event.preventDefault();
        void reverse(key === 'y' || event.shiftKey ? 'redo' : 'undo');
        return;
      }
      if (key === 'escape' && isWhole() && !event.defaultPrevented && !target.closest('[role="dialog"], [role="menu"], [role="listbox"]'))
        change({ whole: false });
      const lone = loneKey(event);
      if (lone === null) return;
      event.preventDefault();
      const earlier = EARLIER[lone];
      if (event.repeat) return;
      if (lone === '/') onFind();
      else if (lone === 'f') useCandidates.getState().swap();
      else if (lone === 'w') change({ whole: !isWhole() });
      else if (earlier) showBefore(earlier);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      if (event.key === 'Alt' || event.key.toLowerCase() in EARLIER || event.code === 'KeyB' || event.code === 'KeyN') showBefore(null);
    };
    const onBlur = () => showBefore(null);
    // A Select that is closed would open on any key: there it is heard before.
    const onKeyDownFirst = (event: KeyboardEvent) => {
      if (!(event.target as Element).matches('[role="combobox"][aria-expanded="false"]')) return;
      onKeyDown(event);
      if (event.defaultPrevented) event.stopPropagation();
    };
    window.addEventListener('keydown', onKeyDownFirst, true);
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('keyup', onKeyUp);
    window.addEventListener('blur', onBlur);
    return () => {
      window.removeEventListener('keydown', onKeyDownFirst, true);
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('keyup', onKeyUp);
      window.removeEventListener('blur', onBlur);
    };
  }, [reverse, showBefore, onFind, change]);
}
