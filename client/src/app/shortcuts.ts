import { App } from 'antd';
import { useCallback, useEffect } from 'react';
import { useActions } from './editingContext';

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

/** Ctrl or Cmd with Z and Y, outside fields, which have an undo of their own. */
export function useShortcuts(): void {
  const reverse = useReverse();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      if ((event.target as Element).closest('input, textarea, [contenteditable="true"]')) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void reverse(key === 'y' || event.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [reverse]);
}
