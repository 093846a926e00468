import { useQuery } from '@tanstack/react-query';
import type { MenuProps } from 'antd';
import { useNavigate, useSearchParams } from 'react-router';
import { answered, api, type Schemas, type ThingView } from '../api/client';
import { useEditing } from '../site/editingContext';
import { stepOfKind } from '../site/stepOfKind';
import { groupBy } from '../ui/groupBy';
import { MenuButton } from '../ui/MenuButton';
import { usesText } from '../ui/words';

type Use = Schemas['UseView'];

/** Where a thing is used; each use leads to its place. */
export function UsesMenu({ kind, thing }: { kind: string; thing: ThingView }) {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const uses = useQuery({
    queryKey: ['uses', slug, version, kind, thing.id],
    queryFn: () => answered(api.GET('/api/sites/{slug}/uses/{kind}/{id}', { params: { path: { slug, kind, id: thing.id } } })),
    enabled: thing.uses.length > 0,
    gcTime: 60_000,
  });
  const go = (use: Use) => {
    const place = placeOf(use);
    if (!place) return;
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(place.change)) next.set(name, value);
    void navigate({ pathname: `/sites/${slug}/${place.step}`, search: next.toString() });
  };
  return (
    <MenuButton
      size="small"
      disabled={thing.uses.length === 0}
      aria-label={`Uses of ${thing.name}: ${usesText(thing.uses)}`}
      menu={{
        items: uses.data ? itemsOf(thing.name, uses.data) : [{ key: 'waiting', label: uses.error?.message ?? 'Looking…', disabled: true }],
        onClick: ({ key }) => {
          const use = uses.data?.[Number(key)];
          if (use) go(use);
        },
      }}
    >
      {usesText(thing.uses)}
    </MenuButton>
  );
}

/** The uses as items of a menu; where steps are used, by step. */
function itemsOf(name: string, uses: readonly Use[]): NonNullable<MenuProps['items']> {
  const item = (use: Use) => ({ key: String(uses.indexOf(use)), label: use.words, disabled: placeOf(use) === null });
  if (uses.every((use) => use.step === '')) return uses.map(item);
  return [...groupBy(uses, (use) => use.step)].map(([step, own]) => ({
    key: `step ${step}`,
    type: 'group',
    label: step === '' ? name : `${name} ${step}`,
    children: own.map(item),
  }));
}

/** The step a use is seen in, and what stands in the address there; null where there is none yet. */
function placeOf(use: Use): ReturnType<typeof stepOfKind> {
  switch (use.kind) {
    case 'thing':
      return stepOfKind(use.of ?? '', use.id ?? '');
    case 'cell':
      return { step: 'parts', change: { part: use.part ?? '', look: use.id ?? '', setting: use.property ?? '' } };
    case 'block':
      return { step: 'parts', change: { page: use.page ?? '', span: 'one', selected: use.id ?? '' } };
    case 'page':
      return { step: 'parts', change: { page: use.page ?? '', span: 'one' } };
    case 'post':
      return { step: 'pages', change: { view: 'posts', post: use.id ?? '' } };
    case 'overrides':
      return { step: 'overrides', change: {} };
  }
}
