import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { answered, api, type Edit, type Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useFonts } from '../../ui/fonts';
import { groupBy } from '../../ui/groupBy';
import { onEscape } from '../../ui/keys';
import { aroundOf, spotFor, type Row } from '../../site/outline';
import { OfferSpecimen } from './OfferSpecimen';

interface Props {
  page: Schemas['PageView'];
  rows: readonly Row[];
  /** What is chosen in the outline: what is added comes into it, or after it. */
  chosen: Row | undefined;
  onAdded: (id: string) => void;
  onClose: () => void;
}

interface Offer {
  /** Which of the specimens is its own. */
  specimen: Pick<Schemas['SpecimenOffer'], 'part' | 'arrangement'>;
  /** How wide the page of its specimen is, px. */
  width: number;
  name: string;
  says: string;
  group: string;
  edit: (id: string) => Edit;
}

/** The width of the page that a specimen is seen on, px: one that holds others wants all of it. */
const WIDE = 1000;
const NARROW = 380;

/** Groups of parts as they are read. */
const GROUPS: Record<string, string> = {
  Arrangement: 'Arranging others',
  Card: 'Cards',
  Media: 'Pictures',
  Form: 'Forms',
  Action: 'Buttons',
  Frame: 'Menus',
};

/** What can be added where the outline stands: ready sections, and every part that may stand there. */
export function AddBlock({ page, rows, chosen, onAdded, onClose }: Props) {
  const catalogue = useEditing((e) => e.catalogue);
  const { make } = useActions();
  const { slug, version, families } = useEditing(
    useShallow((e) => ({ slug: e.site.slug, version: e.site.version, families: e.site.type.families })),
  );
  const css = useEditing((e) => e.sheet.generated + e.sheet.overrides);
  const scheme = useEditing((e) => e.site.schemes.find((s) => s.id === page.scheme)?.cssName ?? '');
  useFonts(families);
  const [wanted, setWanted] = useState('');
  // A section comes after the one in hand.
  const around = chosen && [chosen, ...aroundOf(rows, chosen)].at(-1);
  const offers: Offer[] = [
    ...catalogue.arrangements.map((a) => ({
      specimen: { part: null, arrangement: a.id },
      width: WIDE,
      name: a.name,
      says: a.says,
      group: 'Sections to begin with',
      edit: (id: string): Edit => ({
        kind: 'addArrangement',
        id,
        arrangement: a.id,
        page: page.id,
        at: around ? around.at + 1 : page.sections.length,
      }),
    })),
    ...catalogue.parts.flatMap((part) => {
      const spot = spotFor(catalogue, rows, chosen, part.id);
      return spot
        ? [
            {
              specimen: { part: part.id, arrangement: null },
              width: part.holdsBlocks ? WIDE : NARROW,
              name: part.name,
              says: spot.parent === chosen?.block.id ? `into ${chosen?.block.name}` : '',
              group: GROUPS[part.group] ?? part.group,
              edit: (id: string): Edit => ({ kind: 'addBlock', id, part: part.id, page: page.id, ...spot }),
            },
          ]
        : [];
    }),
  ];
  const specimens = useQuery({
    queryKey: ['offers', slug, version],
    queryFn: () => answered(api.GET('/api/sites/{slug}/offers', { params: { path: { slug } } })),
    // The window's own copy of the site tells when it is another.
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  const words = wanted.trim().toLowerCase();
  const shown = offers.filter((o) => `${o.name} ${o.says}`.toLowerCase().includes(words));
  const add = async (offer: Offer) => {
    const id = crypto.randomUUID();
    if ((await make(offer.edit(id))) === null) onAdded(id);
  };
  return (
    // Escape closes it, whatever in it has the focus.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div className="add-block" role="group" aria-label={`Add to ${page.name}`} onKeyDown={onEscape(onClose)}>
      <Input
        size="small"
        type="search"
        aria-label="Search what can be added"
        placeholder="search"
        value={wanted}
        // It was opened to choose from it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onChange={(event) => setWanted(event.target.value)}
        onPressEnter={() => shown[0] && void add(shown[0])}
      />
      {shown.length === 0 && <p className="empty">Nothing that can stand here is called so.</p>}
      {[...groupBy(shown, (o) => o.group)].map(([group, all]) => (
        <div key={group}>
          <h2 className="add-group">{group}</h2>
          <ul className="add-offers">
            {all.map((offer) => (
              <li key={offer.name}>
                <button type="button" onClick={() => void add(offer)}>
                  <OfferSpecimen
                    html={
                      specimens.data?.find((s) => s.part === offer.specimen.part && s.arrangement === offer.specimen.arrangement)?.html ??
                      ''
                    }
                    css={css}
                    scheme={scheme}
                    width={offer.width}
                  />
                  <span>
                    <strong>{offer.name}</strong> {offer.says && <span className="quiet">{offer.says}</span>}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
