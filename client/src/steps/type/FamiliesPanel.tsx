import { useQuery } from '@tanstack/react-query';
import { Button, Input, Segmented, Select, Skeleton } from 'antd';
import { useState } from 'react';
import { answered, api, type Edit, type Schemas, type ThingView } from '../../api/client';
import { thingOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { MenuButton } from '../../ui/MenuButton';
import { QueryError } from '../../ui/QueryError';
import { useFonts } from '../../ui/fonts';
import './FamiliesPanel.css';

type Bundled = Schemas['BundledFamilyView'];
type FamilyView = Schemas['FamilyView'];

const CLASSES: { value: Bundled['class'] | 'all'; label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'serif', label: 'Serif' },
  { value: 'sans', label: 'Sans' },
  { value: 'slab', label: 'Slab' },
  { value: 'mono', label: 'Mono' },
  { value: 'display', label: 'Display' },
  { value: 'hand', label: 'Hand' },
];

const WEIGHTS = [
  { value: 0, label: 'any weight' },
  { value: 200, label: 'has 200' },
  { value: 300, label: 'has 300' },
  { value: 700, label: 'has 700' },
  { value: 900, label: 'has 900' },
];

const NONE: readonly Bundled[] = [];

/** The site's families, and the shelf they come from. */
export function FamiliesPanel() {
  const families = useEditing((e) => e.site.type.families);
  const words = useEditing((e) => e.site.type.words);
  const shelf = useQuery({ queryKey: ['families'], queryFn: () => answered(api.GET('/api/families')), staleTime: Infinity });
  const [only, setOnly] = useState<Bundled['class'] | 'all'>('all');
  const [weight, setWeight] = useState(0);
  const [search, setSearch] = useState('');
  const all = shelf.data ?? NONE;
  useFonts(all);
  useFonts(families);
  const shown = all.filter(
    (f) =>
      (only === 'all' || f.class === only) &&
      (weight === 0 || (f.from <= weight && weight <= f.to)) &&
      f.name.toLowerCase().includes(search.trim().toLowerCase()),
  );
  return (
    <>
      <div className="subhead">
        <strong>In this site</strong>
      </div>
      <ul className="family-rows" aria-label="Families of this site">
        {families.map((family) => (
          <OwnFamily key={family.id} family={family} words={words} />
        ))}
      </ul>
      <div className="subhead">
        <strong>Shelf</strong>
        <Input
          size="small"
          className="family-search"
          aria-label="Search the shelf by name"
          placeholder="Search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <Select size="small" aria-label="Weights a family must have" value={weight} options={WEIGHTS} onChange={setWeight} />
      </div>
      <div className="family-classes">
        <Segmented size="small" aria-label="Class of letters" value={only} options={CLASSES} onChange={setOnly} />
      </div>
      {shelf.isPending && <Skeleton active={false} className="waiting" />}
      {shelf.isError && <QueryError title="The shelf cannot be read" query={shelf} />}
      {shelf.data && shown.length === 0 && <p className="empty">No family on the shelf is like that.</p>}
      <ul className="family-rows" aria-label="Shelf">
        {shown.map((family) => (
          <li key={family.id}>
            <span className="own-words" style={{ fontFamily: family.stack }}>
              {words}
            </span>
            <strong title={family.name}>{family.name}</strong>
            <span className="quiet">
              {CLASSES.find((c) => c.value === family.class)?.label.toLowerCase()} ·{' '}
              {family.from === family.to ? family.from : `${family.from}–${family.to}`}
            </span>
            {families.some((f) => f.face === family.name) ? (
              <span className="quiet">in this site</span>
            ) : (
              <UseFamily bundled={family} families={families} />
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

function OwnFamily({ family, words }: { family: FamilyView; words: string }) {
  const { make } = useActions();
  const thing = useEditing((e): ThingView | undefined => thingOf(e.site, 'family', family.id));
  const uses = thing?.uses ?? [];
  return (
    <li>
      <span className="own-words" style={{ fontFamily: family.stack }}>
        {words}
      </span>
      <strong title={`${thing?.token}: ${family.stack}`}>{family.name}</strong>
      <span className="quiet" title={uses.join('\n')}>
        {uses.length === 0 ? 'not used' : uses.join(', ')}
      </span>
      {uses.length > 0 ? (
        <span />
      ) : (
        <Button
          size="small"
          aria-label={`Remove ${family.name}`}
          onClick={() => void make({ kind: 'removeThing', of: 'family', id: family.id, by: null, in: null })}
        >
          Remove
        </Button>
      )}
    </li>
  );
}

/** Takes a family of the shelf; the stage shows it while the choice is still being made. */
function UseFamily({ bundled, families }: { bundled: Bundled; families: readonly FamilyView[] }) {
  const { attempt, cancelTrial, make } = useTrial();
  const letters = bundled.name;
  const inPlaceOf = (family: FamilyView): Edit => ({
    kind: 'setThing',
    of: 'family',
    id: family.id,
    field: 'letters',
    text: letters,
    in: null,
  });
  const added = (): Edit => ({
    kind: 'addThing',
    of: 'family',
    id: crypto.randomUUID(),
    name: letters,
    like: null,
    values: { letters },
    in: null,
  });
  // Led to by key, it ends what was tried before it.
  const oneMore = { key: '', label: 'As one more family', onFocus: cancelTrial };
  return (
    <MenuButton
      size="small"
      aria-label={`Use ${bundled.name}`}
      onOpenChange={(open) => {
        if (!open) cancelTrial();
      }}
      menu={{
        items: [
          ...families.map((family) => ({
            key: family.id,
            label: `In place of ${family.name}`,
            onMouseEnter: () => attempt(inPlaceOf(family)),
            onMouseLeave: cancelTrial,
            onFocus: () => attempt(inPlaceOf(family)),
          })),
          { type: 'divider' as const },
          oneMore,
        ],
        onClick: ({ key }) => {
          const family = families.find((f) => f.id === key);
          void make(family ? inPlaceOf(family) : added());
        },
      }}
    >
      Use…
    </MenuButton>
  );
}
