import type { Schemas, SheetView } from '../api/client';

/** The sheet of a site as the stage takes it: its rules, and the text they make. */
export interface Sheet extends SheetView {
  /** The generated sheet whole. */
  readonly generated: string;
  /** The keys of its style rules in the order they stand. */
  readonly keys: readonly string[];
}

export function withText(sheet: SheetView): Sheet {
  const layers = sheet.layers.map((name) => ({ name, rules: sheet.rules.filter((rule) => rule.layer === name) }));
  const text = layers.map(({ name, rules }) =>
    rules.length === 0 ? '' : `\n@layer ${name} {${rules.map((rule) => rule.css).join('')}}\n`,
  );
  return { ...sheet, generated: sheet.head + text.join(''), keys: sheet.rules.map((rule) => rule.key) };
}

/** The sheet with what changed. */
export function changedSheet(before: SheetView, version: number, change: Schemas['SheetChange']): Sheet {
  const changed = new Map(change.rules.map((rule) => [rule.key, rule]));
  const known = new Map([...before.rules.map((rule) => [rule.key, rule] as const), ...changed]);
  const keys = change.order ?? before.rules.map((rule) => rule.key);
  const pages = Object.entries({ ...before.pages, ...change.pages }).filter(([page]) => !change.gone.includes(page));
  return withText({
    version,
    head: change.head ?? before.head,
    layers: before.layers,
    rules: keys.flatMap((key) => known.get(key) ?? []),
    overrides: change.overrides ?? before.overrides,
    pages: Object.fromEntries(pages),
  });
}
