import { Segmented } from 'antd';
import { memo } from 'react';
import type { ColorView, ThingView } from '../../api/client';
import { thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { textOf } from './ComputedColor';
import { setColor } from './setColor';

const SOURCES = [
  { value: 'given', label: 'Given' },
  { value: 'mixed', label: 'Mixed' },
  { value: 'moved', label: 'Moved' },
];

/** Where a colour comes from. What it becomes looks the same at first. */
export const SourceChoice = memo(function SourceChoice({ thing, stored }: { thing: ThingView; stored: ColorView }) {
  const { make } = useActions();
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const { computed } = stored;
  const source = !computed ? 'given' : computed.other !== null ? 'mixed' : 'moved';
  const computeAs = (next: string) => {
    const from = computed?.from ?? stored.css;
    const other = things.find((c) => c.id !== thing.id)?.name ?? 'white';
    const none = { share: 0, space: 'oklab', lightness: 0, chroma: 0, hue: 0 };
    void make(setColor(thing.id, next === 'given' ? stored.hex : textOf({ ...none, from, other: next === 'mixed' ? other : null })));
  };
  return <Segmented size="small" aria-label="Where the colour comes from" options={SOURCES} value={source} onChange={computeAs} />;
});
