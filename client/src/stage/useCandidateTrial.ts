import { useQuery } from '@tanstack/react-query';
import { answered, api, type TrialAnswer } from '../api/client';
import type { Candidate } from '../site/candidates';
import { useEditing } from '../site/editingContext';

/**
 * What a candidate would change on a page.
 * @returns undefined while it is not known yet; null where nothing would
 */
export function useCandidateTrial(candidate: Candidate, page: string): { trial: TrialAnswer | null | undefined; problem: string | null } {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const { edit } = candidate;
  const asked = useQuery({
    queryKey: ['candidate', slug, version, page, edit],
    queryFn: () =>
      edit === null
        ? null
        : answered(api.POST('/api/sites/{slug}/trials', { params: { path: { slug } }, body: { version, edit, pages: [page] } })),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  });
  if (edit === null) return { trial: null, problem: null };
  return { trial: asked.data === undefined ? undefined : (asked.data?.answer ?? null), problem: asked.error?.message ?? null };
}
