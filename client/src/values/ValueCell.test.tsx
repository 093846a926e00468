import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { App } from 'antd';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { create } from 'zustand';
import { RequestFailed, type Edit } from '../api/client';
import type { Editing, EditingStore } from '../site/editing';
import { EditingContext } from '../site/editingContext';
import { createTyping, type Typing } from '../site/typing';
import { ValueCell } from './ValueCell';

const made: Edit[] = [];
const tried: Edit[] = [];
let answer: string | null = null;
let isHeard = true;
const cancelTrial = vi.fn();
const refused = () =>
  Promise.resolve(!isHeard ? new RequestFailed(undefined, 0) : answer === null ? null : new RequestFailed({ detail: answer }, 400));

let store: EditingStore;
const fresh = () =>
  create<Editing>((set) => {
    const typing = createTyping({
      key: 'typed',
      version: () => 4,
      onChange: (typed) => set({ typed }),
      send: ({ edit }) => {
        made.push(edit);
        return refused();
      },
    });
    return {
      refused: null,
      site: { version: 4, things: {}, names: {}, colors: [], schemes: [], fills: { gradients: [], backgrounds: [] }, pictures: [] },
      typed: {},
      attempt: (edit: Edit) => tried.push(edit),
      cancelTrial,
      make: (edit: Edit) => {
        made.push(edit);
        return Promise.resolve(answer);
      },
      type: (place: string, typed: Typing) => {
        if (typed.tried !== false) tried.push(typed.edit);
        typing.type(place, typed);
      },
      storeTyped: typing.store,
      keepMine: typing.keepMine,
      takeStored: (place: string) => {
        cancelTrial();
        typing.takeStored(place);
      },
    } as unknown as Editing;
  });

const edit = (text: string | null): Edit => ({ kind: 'setOverrides', css: text ?? 'cleared' });
const texts = (edits: readonly Edit[]) => edits.map((e) => (e.kind === 'setOverrides' ? e.css : ''));

function show(text: string | null, isWords = false) {
  store = fresh();
  render(
    <App>
      <EditingContext value={store}>
        <ValueCell
          name="Padding in Rest"
          text={text}
          inherited={text === 'always' ? null : 'not set'}
          names={isWords ? [] : ['space 1', 'space 2']}
          edit={edit}
          note="8px"
          isWords={isWords}
        />
        <button type="button">Elsewhere</button>
      </EditingContext>
    </App>,
  );
  return cell();
}

const cell = () => screen.getByRole('button', { name: /^Padding/ });

beforeEach(() => {
  made.length = 0;
  tried.length = 0;
  answer = null;
  isHeard = true;
  sessionStorage.clear();
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
  expect(show('space 2').getAttribute('aria-label')).toBe('Padding in Rest: space 2 8px');
  cleanup();
  expect(show(null).className).toContain('inherited');
});

test('typing opens it, is tried at once, and is made with Enter', async () => {
  fireEvent.keyDown(show('12px'), { key: '3' });
  const field = screen.getByRole('combobox');
  fireEvent.change(field, { target: { value: '30px' } });
  expect(texts(tried)).toEqual(['3', '30px']);
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
  expect(cell().textContent).toContain('12px');
});

test('what is typed over a text that could not be stored is stored when it is left', async () => {
  isHeard = false;
  fireEvent.click(show('12px'));
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '30px' } });
  await act(async () => fireEvent.blur(screen.getByRole('combobox'), { relatedTarget: screen.getByText('Elsewhere') }));
  fireEvent.click(cell());
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '31px' } });
  isHeard = true;
  await act(async () => fireEvent.blur(screen.getByRole('combobox'), { relatedTarget: screen.getByText('Elsewhere') }));
  expect(texts(made)).toEqual(['30px', '31px']);
  expect(store.getState().typed).toEqual({});
});

test('what is refused is kept where it was typed, with the reason, until it is mended or given up', async () => {
  answer = 'Padding cannot be negative.';
  fireEvent.click(show('12px'));
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '-4px' } });
  await act(async () => fireEvent.keyDown(screen.getByRole('combobox'), { key: 'Enter' }));
  expect(screen.getByRole('alert').textContent).toBe('Padding cannot be negative.');
  expect(cell().textContent).toContain('-4px');
  expect(cell().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
  await act(async () => fireEvent.keyDown(cell(), { key: 'Escape' }));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(cell().textContent).toContain('12px');
});

test('the focus comes back after Enter, and stays where it went when the cell is left', async () => {
  fireEvent.click(show('12px'));
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '13px' } });
  await act(async () => fireEvent.keyDown(screen.getByRole('combobox'), { key: 'Enter' }));
  expect(document.activeElement).toBe(cell());
  fireEvent.click(cell());
  fireEvent.change(screen.getByRole('combobox'), { target: { value: '14px' } });
  await act(async () => screen.getByRole('button', { name: 'Elsewhere' }).focus());
  expect(texts(made)).toEqual(['13px', '14px']);
  expect(document.activeElement?.textContent).toBe('Elsewhere');
});

test('= lists everything on a filled cell, and is a letter where words are typed', () => {
  fireEvent.keyDown(show('12px'), { key: '=' });
  expect(document.querySelectorAll('.ant-select-item-option')).toHaveLength(2);
  cleanup();
  fireEvent.keyDown(show('1966', true), { key: '=' });
  expect((screen.getByRole('combobox') as HTMLInputElement).value).toBe('=');
});

test('where something always stands, Delete empties the cell to type another', async () => {
  const full = show('always');
  await act(async () => fireEvent.keyDown(full, { key: 'Delete' }));
  const field = screen.getByRole('combobox') as HTMLInputElement;
  expect(field.value).toBe('');
  await act(async () => fireEvent.keyDown(field, { key: 'Enter' }));
  expect(made).toEqual([]);
  expect(cell().textContent).toContain('always');
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
  fireEvent.pointerDown(cell, { button: 2, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 120 });
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

test.each(['none', 'Heading 2', '#8a2846'])('%s has no number to be dragged', (text) => {
  const cell = show(text);
  fireEvent.pointerDown(cell, { button: 0, clientX: 100 });
  fireEvent.pointerMove(cell, { clientX: 160 });
  expect(tried).toEqual([]);
  expect(cell.className).not.toContain('draggable');
});
