import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { App } from 'antd';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { create } from 'zustand';
import type { Edit } from '../api/client';
import type { Editing } from '../site/editing';
import { EditingContext } from '../site/editingContext';
import { ValueCell } from './ValueCell';

const made: Edit[] = [];
const tried: Edit[] = [];
let answer: string | null = null;
const cancelTrial = vi.fn();

const store = create<Editing>(
  () =>
    ({
      refused: null,
      site: { version: 4 },
      attempt: (edit: Edit) => tried.push(edit),
      cancelTrial,
      make: (edit: Edit) => {
        made.push(edit);
        return Promise.resolve(answer);
      },
    }) as unknown as Editing,
);

const edit = (text: string | null): Edit => ({ kind: 'setOverrides', css: text ?? 'cleared' });
const texts = (edits: readonly Edit[]) => edits.map((e) => (e.kind === 'setOverrides' ? e.css : ''));

function show(text: string | null) {
  render(
    <App>
      <EditingContext value={store}>
        <ValueCell name="Padding in Rest" text={text} inherited="not set" names={['space 1', 'space 2']} edit={edit} note="8 px" />
      </EditingContext>
    </App>,
  );
  return screen.getByRole('button');
}

beforeEach(() => {
  made.length = 0;
  tried.length = 0;
  answer = null;
  cancelTrial.mockClear();
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addListener() {},
    removeListener() {},
    addEventListener() {},
    removeEventListener() {},
  }));
  // jsdom has no pointer capture.
  HTMLElement.prototype.setPointerCapture = () => undefined;
});

afterEach(cleanup);

test('a value says what it is, and one that is inherited from where', () => {
  expect(show('space 2').getAttribute('aria-label')).toBe('Padding in Rest: space 2 8 px');
  cleanup();
  expect(show(null).className).toContain('inherited');
});

test('typing opens it, is tried at once, and is made with Enter', async () => {
  fireEvent.keyDown(show('12px'), { key: '3' });
  const field = screen.getByRole('combobox');
  fireEvent.change(field, { target: { value: '30px' } });
  expect(texts(tried)).toEqual(['30px']);
  await act(async () => fireEvent.keyDown(field, { key: 'Enter' }));
  expect(texts(made)).toEqual(['30px']);
});

test('Escape brings back what was there', async () => {
  fireEvent.click(show('12px'));
  const field = screen.getByRole('combobox');
  fireEvent.change(field, { target: { value: '30px' } });
  await act(async () => fireEvent.keyDown(field, { key: 'Escape' }));
  expect(made).toEqual([]);
  expect(cancelTrial).toHaveBeenCalled();
  expect(screen.getByRole('button').textContent).toContain('12px');
});

test('what is refused stays open with the reason', async () => {
  answer = 'Padding cannot be negative.';
  fireEvent.click(show('12px'));
  const field = screen.getByRole('combobox');
  fireEvent.change(field, { target: { value: '-4px' } });
  await act(async () => fireEvent.keyDown(field, { key: 'Enter' }));
  expect(screen.getByRole('alert').textContent).toBe('Padding cannot be negative.');
  expect(field.getAttribute('aria-invalid')).toBe('true');
});

test('Delete clears what is set, and nothing where nothing is', async () => {
  const set = show('12px');
  await act(async () => fireEvent.keyDown(set, { key: 'Delete' }));
  expect(texts(made)).toEqual(['cleared']);
  cleanup();
  made.length = 0;
  const inherited = show(null);
  await act(async () => fireEvent.keyDown(inherited, { key: 'Delete' }));
  expect(made).toEqual([]);
});

test('arrow keys step the number at the caret, with Shift by ten', () => {
  fireEvent.click(show('12px'));
  const field = screen.getByRole('combobox');
  fireEvent.keyDown(field, { key: 'ArrowUp' });
  (field as HTMLInputElement).setSelectionRange(1, 1);
  fireEvent.keyDown(field, { key: 'ArrowDown', shiftKey: true });
  expect(texts(tried)).toEqual(['13px', '3px']);
});

test('dragging across steps the number, and letting go makes one edit', async () => {
  const cell = show('space 2');
  fireEvent.pointerDown(cell, { button: 0, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 102 });
  expect(tried).toEqual([]);
  fireEvent.pointerMove(cell, { clientX: 105 });
  fireEvent.pointerMove(cell, { clientX: 111 });
  expect(texts(tried)).toEqual(['space 3', 'space 4']);
  expect(cell.textContent).toContain('space 4');
  await act(async () => fireEvent.pointerUp(cell, { clientX: 111 }));
  expect(texts(made)).toEqual(['space 4']);
  // The click that ends a drag opens nothing.
  fireEvent.click(cell);
  expect(screen.queryByRole('combobox')).toBeNull();
});

test('a drag that comes back to where it began, or is given up, makes nothing', async () => {
  const cell = show('12px');
  fireEvent.pointerDown(cell, { button: 0, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 120 });
  fireEvent.pointerMove(cell, { clientX: 100 });
  await act(async () => fireEvent.pointerUp(cell, { clientX: 100 }));
  fireEvent.pointerDown(cell, { button: 0, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 120 });
  fireEvent.keyDown(cell, { key: 'Escape' });
  await act(async () => fireEvent.pointerUp(cell, { clientX: 120 }));
  expect(made).toEqual([]);
  expect(cell.textContent).toContain('12px');
});

test('a word without a number cannot be dragged', () => {
  const cell = show('none');
  fireEvent.pointerDown(cell, { button: 0, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 160 });
  expect(tried).toEqual([]);
  expect(cell.className).not.toContain('draggable');
});
