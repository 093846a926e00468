import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { answered, api } from '../../api/client';
import { useEditing } from '../../site/editingContext';

/** How long the hand rests before a list is read, in ms. */
const PAUSE = 250;

/** The colours of a list, read when the hand rests; what could not be read without a connection is read when it is back. */
export function usePastedColors(text: string) {
  const slug = useEditing((e) => e.site.slug);
  const connected = useEditing((e) => e.connected);
  const read = useMutation({
    mutationFn: (list: string) =>
      answered(api.POST('/api/sites/{slug}/colors/pasted', { params: { path: { slug } }, body: { text: list } })),
  });
  const { mutate } = read;
  const isEmpty = text.trim() === '';
  useEffect(() => {
    if (isEmpty || !connected) return;
    const timer = window.setTimeout(() => mutate(text), PAUSE);
    return () => window.clearTimeout(timer);
  }, [isEmpty, text, connected, mutate]);
  return { found: isEmpty ? undefined : read.data, looking: read.isPending, problem: isEmpty ? undefined : read.error?.message };
}
