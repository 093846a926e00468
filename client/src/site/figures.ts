import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answered, api, type Edit, type Schemas } from '../api/client';
import { useBoxes, widest } from './boxes';
import { useEditing } from './editingContext';

export const pairsKey = (slug: string, version: number) => ['pairs', slug, version] as const;

/** The pairs in use at the version at hand. They are computed apart from edits, so that no edit waits for them. */
export function usePairs() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  return useQuery({
    queryKey: pairsKey(slug, version),
    queryFn: () => answered(api.GET('/api/sites/{slug}/pairs', { params: { path: { slug } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
}

/** Figures of the text styles, from the boxes the stage has measured so far. */
export function useTypeFigures() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const frames = useBoxes((b) => b.frames);
  const pages = useEditing((e) => e.site.pages);
  const boxes = useMemo(() => widest(frames, pages), [frames, pages]);
  return useQuery({
    queryKey: ['type figures', slug, version, boxes],
    queryFn: () => answered(api.POST('/api/sites/{slug}/type/figures', { params: { path: { slug } }, body: { boxes } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
}

/** How far the last edit reaches. */
export function useReach() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const reach = useQuery({
    queryKey: ['reach', slug, version],
    queryFn: () => answered(api.GET('/api/sites/{slug}/reach', { params: { path: { slug } } })),
    enabled: version > 0,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  return version > 0 ? reach.data : undefined;
}

/** How far an edit would reach that is not made yet. */
export function useReachOf(edit: Edit) {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  return useQuery({
    queryKey: ['reach', slug, version, JSON.stringify(edit)],
    queryFn: ({ signal }) => answered(api.POST('/api/sites/{slug}/reach', { params: { path: { slug } }, body: edit, signal })),
    retry: false,
    gcTime: 60_000,
  });
}

/** What a reach comes to, in words. */
export function reachText({ pages, elements, isWhole }: Schemas['Reach']): string {
  if (elements === 0) return isWhole ? 'nothing on the pages' : 'nothing of what was looked up';
  return `${isWhole ? '' : 'at least '}${pages === 1 ? '1 page' : `${pages} pages`}, ${elements === 1 ? '1 element' : `${elements} elements`}`;
}
