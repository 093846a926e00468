import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { create } from 'zustand';
import type { Edit } from '../api/client';
import type { Editing } from '../site/editing';
import { EditingContext } from '../site/editingContext';
import { useTriedChoice } from './useTriedChoice';

const done: string[] = [];
const say = (what: string) => (edit: Edit) => {
  done.push(`${what} ${edit.kind === 'setOverrides' ? edit.css : ''}`);
  return Promise.resolve(null);
};
const store = create<Editing>(
  () => ({ attempt: say('try'), make: say('make'), cancelTrial: () => done.push('cancel') }) as unknown as Editing,
);
const wrapper = ({ children }: { children: ReactNode }) => <EditingContext value={store}>{children}</EditingContext>;
const choice = () => renderHook(() => useTriedChoice((css): Edit => ({ kind: 'setOverrides', css })), { wrapper });

beforeEach(() => {
  done.length = 0;
});

afterEach(cleanup);

test('what is led to is tried, and what is taken is made without going back first', () => {
  const { result } = choice();
  act(() => {
    result.current.onOpenChange(true);
    result.current.onActive('a');
    result.current.onActive('b');
    result.current.onChange('b');
    result.current.onOpenChange(false);
  });
  expect(done).toEqual(['try a', 'try b', 'make b']);
});

test('closing without taking anything brings back what is stored, and what becomes active afterwards is not tried', () => {
  const { result } = choice();
  act(() => {
    result.current.onOpenChange(true);
    result.current.onActive('a');
    result.current.onOpenChange(false);
    result.current.onActive('b');
  });
  expect(done).toEqual(['try a', 'cancel']);
});

test('a list that goes away while it is open leaves no trial behind', () => {
  const { result, unmount } = choice();
  act(() => {
    result.current.onOpenChange(true);
    result.current.onActive('a');
  });
  unmount();
  expect(done).toEqual(['try a', 'cancel']);
});
