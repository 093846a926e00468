import type { CatalogueView, LookView, PartView, SettingView, SiteView, ThingView } from '../api/client';

const NONE: readonly ThingView[] = [];

/** The things of a kind, by its code. */
export const thingsOf = (site: SiteView, kind: string): readonly ThingView[] => site.things[kind] ?? NONE;

export const thingOf = (site: SiteView, kind: string, id: string): ThingView | undefined => thingsOf(site, kind).find((t) => t.id === id);

/** What a field of a thing, or of an item of one, says. */
export const fieldOf = (thing: Pick<ThingView, 'fields'> | undefined, field: string): string =>
  thing?.fields.find((f) => f.id === field)?.text ?? '';

/** What a field of a thing, or of an item of one, needs to show; empty where it shows. */
export const noteOf = (thing: Pick<ThingView, 'fields'> | undefined, field: string): string =>
  thing?.fields.find((f) => f.id === field)?.note ?? '';

export const fieldText: (thing: ThingView | undefined, field: string) => string = fieldOf;

export const partOf = (catalogue: CatalogueView, id: string): PartView | undefined => catalogue.parts.find((p) => p.id === id);

export const looksOf = (site: SiteView, part: string): LookView[] => site.looks.filter((l) => l.part === part);

/** What can be named in a value of a setting, most fitting first. */
export const namesIn = (names: SiteView['names'], setting: SettingView): string[] => [
  ...setting.words,
  ...setting.offers.flatMap((kind) => names[kind] ?? []),
];

/** The settings of a kind's things. */
export const kindOf = (catalogue: CatalogueView, code: string) => catalogue.kinds.find((k) => k.code === code);
