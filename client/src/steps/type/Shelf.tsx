import { Button, Input, Segmented, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useCandidates } from '../../site/candidates';
import { useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { asItIs, lettersOf, useShelf } from '../../stage/useOtherCandidates';
import { MenuButton } from '../../ui/MenuButton';
import { QueryError } from '../../ui/QueryError';
import { useFonts, useSeen } from '../../ui/fonts';
import { filtered, SORTS, type ShelfFilter } from './shelfFilter';
import { Waiting } from '../../ui/Waiting';

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

/** The families that come with the program, in the site's own words. */
export function Shelf({ families }: { families: readonly FamilyView[] }) {
  const words = useEditing((e) => e.site.type.words);
  const shelf = useShelf();
  const [filter, setFilter] = useState<ShelfFilter>({
    class: 'all',
    weight: 0,
    italic: false,
    axis: '',
    language: '',
    search: '',
    sort: 'class',
  });
  const all = shelf.data ?? NONE;
  const shown = useMemo(() => filtered(all, filter), [all, filter]);
  const change = (next: Partial<ShelfFilter>) => setFilter((before) => ({ ...before, ...next }));
  const languages = [...new Set(all.flatMap((f) => f.languages))].sort((a, b) => a.localeCompare(b));
  const axes = [...new Set(all.flatMap((f) => f.axes.map((a) => a.tag)))].sort();
  return (
    <>
      <div className="subhead">
        <strong>Shelf</strong>
        <span className="quiet">
          {shelf.data && (shown.length === all.length ? `${all.length} families` : `${shown.length} of ${all.length}`)}
        </span>
        <span className="spring" />
        <Input
          size="small"
          className="family-search"
          aria-label="Search the shelf by name"
          placeholder="Search"
          value={filter.search}
          onChange={(event) => change({ search: event.target.value })}
        />
        <Select
          size="small"
          aria-label="Order of the shelf"
          value={filter.sort}
          options={SORTS.map(({ value, label }) => ({ value, label }))}
          onChange={(sort) => change({ sort })}
        />
      </div>
      <div className="family-classes">
        <Segmented
          size="small"
          aria-label="Class of letters"
          value={filter.class}
          options={CLASSES}
          onChange={(value) => change({ class: value })}
        />
      </div>
      <div className="family-classes">
        <Select
          size="small"
          aria-label="Weights a family must have"
          value={filter.weight}
          options={WEIGHTS}
          onChange={(weight) => change({ weight })}
        />
        <Select
          size="small"
          aria-label="Italics"
          value={filter.italic}
          options={[
            { value: false, label: 'italic or not' },
            { value: true, label: 'has italic' },
          ]}
          onChange={(italic) => change({ italic })}
        />
        <Select
          size="small"
          aria-label="Axis a family must have"
          value={filter.axis}
          options={[{ value: '', label: 'any axes' }, ...axes.map((axis) => ({ value: axis, label: `has ${axis}` }))]}
          onChange={(axis) => change({ axis })}
        />
        <Select
          size="small"
          aria-label="Language a family must have all letters of"
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={filter.language}
          options={[{ value: '', label: 'any language' }, ...languages.map((language) => ({ value: language, label: language }))]}
          onChange={(language) => change({ language })}
        />
      </div>
      {shelf.isPending && <Waiting />}
      {shelf.isError && <QueryError title="The shelf cannot be read" query={shelf} />}
      {shelf.data && shown.length === 0 && <p className="empty">No family on the shelf is like that.</p>}
      <ul className="family-rows" aria-label="Shelf">
        {shown.map((family) => (
          <ShelfRow key={family.id} family={family} words={words} families={families} sort={filter.sort} />
        ))}
      </ul>
    </>
  );
}

/** A row is as high before its letters are there as after; they are fetched once it is in sight. */
function ShelfRow({
  family,
  words,
  families,
  sort,
}: {
  family: Bundled;
  words: string;
  families: readonly FamilyView[];
  sort: ShelfFilter['sort'];
}) {
  const row = useRef<HTMLLIElement>(null);
  const seen = useSeen(row);
  const isTaken = families.some((f) => f.bundled === family.id);
  return (
    <li ref={row}>
      {seen ? <OwnWords family={family} words={words} /> : <span className="own-words" />}
      <span className="family-about">
        <strong title={`${family.languages.length} languages: ${family.languages.join(', ')}`}>{family.name}</strong>
        <span className="quiet">
          {[
            CLASSES.find((c) => c.value === family.class)?.label.toLowerCase(),
            family.from === family.to ? family.from : `${family.from}–${family.to}`,
            family.hasItalics && 'italic',
            ...family.axes.map((a) => a.tag),
            sort === 'xHeight' && `x-height ${family.xHeight.toFixed(3).replace(/^0/, '')}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </span>
      {isTaken ? <span className="quiet">in this site</span> : <UseFamily bundled={family} families={families} />}
    </li>
  );
}

function OwnWords({ family, words }: { family: Bundled; words: string }) {
  // One file is enough to see it by: the upright one nearest to the usual weight.
  const shown = useMemo(() => {
    const file = [...family.files].sort((a, b) => away(a) - away(b))[0];
    return [{ name: family.name, files: file ? [file] : [] }];
  }, [family]);
  useFonts(shown);
  return (
    <span className="own-words" style={{ fontFamily: family.stack }}>
      {words}
    </span>
  );
}

const away = ({ from, to, italic, ranges }: Schemas['FontFileView']): number =>
  Math.max(0, from - 400, 400 - to) + (italic ? 10_000 : 0) + (ranges === '' || ranges.startsWith('U+0000') ? 0 : 5_000);

/** Takes a family of the shelf; the stage shows it while the choice is still being made, or beside what is there. */
function UseFamily({ bundled, families }: { bundled: Bundled; families: readonly FamilyView[] }) {
  const { attempt, cancelTrial, make } = useTrial();
  const compare = useCandidates((c) => c.compare);
  const letters = bundled.name;
  const inPlaceOf = (family: FamilyView): Edit => lettersOf(family.id, letters).edit as Edit;
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
  const beside = (family: FamilyView) => {
    compare({ of: 'family', id: family.id, pair: [asItIs(family.name), lettersOf(family.id, letters)] });
  };
  return (
    <span className="family-acts">
      {families.length === 1 ? (
        <Button size="small" aria-label={`Try ${letters} beside`} onClick={() => families[0] && beside(families[0])}>
          Beside
        </Button>
      ) : (
        <MenuButton
          size="small"
          aria-label={`Try ${letters} beside`}
          menu={{
            items: families.map((family) => ({ key: family.id, label: `Beside ${family.name}` })),
            onClick: ({ key }) => {
              const family = families.find((f) => f.id === key);
              if (family) beside(family);
            },
          }}
        >
          Beside…
        </MenuButton>
      )}
      <MenuButton
        size="small"
        aria-label={`Use ${letters}`}
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
    </span>
  );
}
