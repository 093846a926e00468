import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { createEditing } from './editing';
import { requestsOf } from './requests';
import { keptOpenedAt, openedAt } from './window';

/** What is the same for every site; fetched once for as long as the window is open. */
const catalogue = { queryKey: ['catalogue'], queryFn: () => answered(api.GET('/api/catalogue')), staleTime: Infinity };

/** Opens a site for editing. */
export function useOpenSite(slug: string) {
  const parts = useQuery(catalogue);
  const site = useQuery({
    queryKey: ['site', slug, parts.dataUpdatedAt],
    enabled: parts.data !== undefined,
    queryFn: async () => {
      const opened = await requestsOf(slug, keptOpenedAt(slug)).read();
      return createEditing(opened, parts.data as NonNullable<typeof parts.data>, openedAt(slug, opened.site.version));
    },
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
  });
  return parts.isError ? { ...parts, data: undefined } : site;
}
