import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answered, api } from '../../api/client';
import { useEditing } from '../../site/editingContext';

/** What a colour is near to: the nearest of the palette, and the nearest that has a name in CSS. */
export function Neighbours({ id }: { id: string }) {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const near = useQuery({
    queryKey: ['near', slug, version, id],
    queryFn: () => answered(api.GET('/api/sites/{slug}/colors/{id}/near', { params: { path: { slug, id } } })),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
  const shown = [near.data?.find((n) => n.isOwn), near.data?.find((n) => !n.isOwn)].filter((n) => n !== undefined);
  if (shown.length === 0) return null;
  const told = near.data?.map((n) => `${n.name}: ${n.difference.toFixed(1)} away`).join('\n');
  return <span title={`CIEDE2000\n${told}`}> · near {shown.map((n) => `${n.name} ${n.difference.toFixed(1)}`).join(', ')}</span>;
}
