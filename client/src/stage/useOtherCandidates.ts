import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answered, api, type Edit, type Schemas } from '../api/client';
import { AS_IT_IS, type Candidate, type Comparison } from '../site/candidates';
import { useEditing } from '../site/editingContext';

const NONE: readonly Schemas['BundledFamilyView'][] = [];

/** The families of the shelf; they are the same for as long as the program runs. */
export const useShelf = () => useQuery({ queryKey: ['families'], queryFn: () => answered(api.GET('/api/families')), staleTime: Infinity });

/** Everything that can stand beside what is compared. */
export function useOtherCandidates(comparison: Comparison | null): readonly Candidate[] {
  const families = useEditing((e) => e.site.type.families);
  const things = useEditing((e) => e.site.things);
  const shelf = useShelf().data ?? NONE;
  return useMemo(() => {
    if (!comparison) return [];
    const { of, id } = comparison;
    if (of === 'family') return [asItIs(families.find((f) => f.id === id)?.name), ...shelf.map((family) => lettersOf(id, family.name))];
    const style = things.textStyle?.find((t) => t.id === id);
    const now = style?.fields.find((f) => f.id === 'family')?.text;
    const own = families.filter((f) => f.name !== now).map((f) => styleIn(id, f.name));
    const others = shelf.filter((s) => !families.some((f) => f.name === s.name || f.face === s.name)).map((s) => styleInNew(id, s.name));
    return [asItIs(now), ...own, ...others];
  }, [comparison, families, things, shelf]);
}

export const asItIs = (name: string | undefined): Candidate => ({ key: AS_IT_IS, name: `${name ?? ''} now`.trim(), edit: null });

/** A family with the letters of one of the shelf. */
export const lettersOf = (family: string, letters: string): Candidate => ({
  key: letters,
  name: letters,
  edit: { kind: 'setThing', of: 'family', id: family, field: 'letters', text: letters, in: null },
});

const setIn = (style: string, family: string): Edit => ({
  kind: 'setThing',
  of: 'textStyle',
  id: style,
  field: 'family',
  text: family,
  in: null,
});

/** A text style in another family of the site. */
export const styleIn = (style: string, family: string): Candidate => ({ key: family, name: family, edit: setIn(style, family) });

/** A text style in a family of the shelf, which comes into the site with it. */
const styleInNew = (style: string, letters: string): Candidate => ({
  key: letters,
  name: letters,
  edit: {
    kind: 'together',
    words: `${letters} taken`,
    edits: [
      { kind: 'addThing', of: 'family', id: idFor(letters), name: letters, like: null, values: { letters }, in: null },
      setIn(style, letters),
    ],
  },
});

const ids = new Map<string, string>();

/** An id for a family that may come into the site: the same each time, so that a trial of it is asked for once. */
function idFor(letters: string): string {
  const known = ids.get(letters) ?? crypto.randomUUID();
  ids.set(letters, known);
  return known;
}
