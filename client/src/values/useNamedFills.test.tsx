import { renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, test } from 'vitest';
import { create } from 'zustand';
import type { Editing } from '../site/editing';
import { EditingContext } from '../site/editingContext';
import { useNamedFills } from './useNamedFills';

const store = create<Editing>(
  () =>
    ({
      site: {
        things: { background: [{ id: 'b1', name: 'linen' }] },
        names: { role: ['text', 'field line'], border: ['hairline', 'field line'], background: [], 'background layers': ['linen'] },
        colors: [],
        schemes: [
          {
            roles: [
              { name: 'text', hex: '#111111' },
              { name: 'field line', hex: '#222222' },
            ],
          },
        ],
        fills: { gradients: [], backgrounds: [{ id: 'b1', html: '<div></div>' }] },
        pictures: [],
      },
    }) as unknown as Editing,
);
const wrapper = ({ children }: { children: ReactNode }) => <EditingContext value={store}>{children}</EditingContext>;
const seen = (...names: string[]) => [...renderHook(() => useNamedFills(names), { wrapper }).result.current];

test('names are seen with what they are of', () => {
  expect(seen('linen', 'text', 'field line')).toMatchObject([
    ['text', { css: '#111111' }],
    ['field line', { css: '#222222' }],
    ['linen', { html: '<div></div>' }],
  ]);
});

test('a border that is called as a colour is stays a border', () => {
  expect(seen('none', 'hairline', 'field line')).toEqual([]);
});
