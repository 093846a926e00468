import type { CellView, Edit, LookView, PartView, PropertyView, Schemas } from '../api/client';
import { partOf } from '../site/catalogue';
import type { Editing } from '../site/editing';
import { inUnitOf } from '../values/numbers';
import type { Band } from './bands';
import { ABOVE, BEFORE, countingOf, GAP } from './between';
import { styledAs } from './walk';

type SpaceStep = Schemas['SpaceStepView'];

/** How near a space has to be for the hand to take it, px. */
const NEAR = 2;

const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** The settings that bands within an element show, by their CSS properties. */
const PROPERTIES = {
  padding: ['padding'],
  gap: ['gap', '--own-gap', GAP],
} as const;

/** The setting of a part that bands within it show; undefined where it has none. */
export const propertyOf = (part: PartView | undefined, kind: keyof typeof PROPERTIES): PropertyView | undefined =>
  part?.properties.find((p) => (PROPERTIES[kind] as readonly string[]).includes(p.cssName));

/** The setting that a band changes. */
export interface Grip {
  look: LookView;
  property: PropertyView;
  /** What the band is beyond what it sets, px. */
  beyond: number;
  /** The least it becomes, px. */
  least: number;
}

/** What holds of a band as it lies on its page. */
interface Lying {
  band: Pick<Band, 'kind' | 'side'>;
  /** What is selected. */
  element: HTMLElement;
  /** Of a gap the element after it. */
  after: HTMLElement | undefined;
  look: LookView | undefined;
  catalogue: Editing['catalogue'];
  looks: readonly LookView[];
}

/**
 * The setting that moves a band; null where none does. Between elements that stand one below another that is what the rule of the site makes count: the space before
 * the second, the space after the first, or the gap around both.
 */
export function gripOf({ band, element, after, look, catalogue, looks }: Lying): Grip | null {
  const setting = (styled: LookView | undefined, css: readonly string[]) => {
    const property = partOf(catalogue, styled?.part ?? '')?.properties.find((p) => css.includes(p.cssName));
    return styled && property && { look: styled, property };
  };
  const styledOf = (of: Element | null) => (of && styledAs(of, looks)?.look) ?? undefined;
  const stacked = (second: HTMLElement, names: readonly string[]) => {
    const counting = countingOf(second, names);
    if (!counting) return null;
    const of = counting.name === GAP ? look : styledOf(counting.name === ABOVE ? second.previousElementSibling : second);
    const set = setting(of, counting.name === GAP ? PROPERTIES.gap : [counting.name]);
    return set ? { ...set, beyond: counting.beyond, least: counting.least } : null;
  };
  if (band.kind === 'margin') return band.side === 'top' ? stacked(element, [BEFORE, ABOVE]) : null;
  const property = look && propertyOf(partOf(catalogue, look.part), band.kind);
  if (band.kind === 'gap' && band.side === 'top' && after && property?.cssName !== 'gap') return stacked(after, [GAP]);
  return property ? { look, property, beyond: 0, least: 0 } : null;
}

/** What is set where a band is to be so large, px. */
export const setBy = ({ beyond, least }: Grip, size: number): number => Math.max(0, Math.max(least, size) - beyond);

/** The element a setting of space is about: of an element with a look itself, or a piece inside. */
export function pieceOf(element: Element, property: PropertyView): Element | null {
  // A gap is said of what stands inside: its place is around that.
  const target = property.target.replace(/ > \*$/, '');
  return target === '' || target === ' + *'
    ? element
    : element.querySelector(`:scope${target.startsWith(' >') ? target : ` ${target.trim()}`}`);
}

/** The direction in which a band grows: 1 where its moving edge goes right or down. */
export const grows = ({ side }: Pick<Band, 'side'>): 1 | -1 => (side === 'right' || side === 'bottom' ? -1 : 1);

/** What is typed for so many px: the space it is near to, or the px themselves in the unit there was. */
export function textOf({ grip, side, width, spaces, free, px, was }: Holding): string {
  const size = (step: SpaceStep) => step.sizes.find((s) => s.width === width)?.px;
  const nearest = [...spaces].sort((a, b) => Math.abs((size(a) ?? Infinity) - px) - Math.abs((size(b) ?? Infinity) - px))[0];
  const its = nearest && size(nearest);
  if (!free && nearest && its !== undefined && Math.abs(its - px) <= NEAR) return nearest.name;
  const cell = cellAt(grip.look.cells, grip.property.setting.id, width);
  return inUnitOf(grip.property.sides ? (cell?.sides?.[SIDES.indexOf(side)] ?? cell?.text) : cell?.text, was, px);
}

interface Holding {
  grip: Grip;
  side: Band['side'];
  /** Of the window, px. */
  width: number;
  spaces: readonly SpaceStep[];
  /** Whether the hand keeps away from the spaces. */
  free: boolean;
  px: number;
  /** What is set now, px. */
  was: number;
}

/** The cell that decides about a setting at a width; undefined where none does. */
export function cellAt(cells: readonly CellView[], property: string, width: number): CellView | undefined {
  const set = cells.filter((c) => c.property === property && c.state === 'rest');
  const isForSome = (c: CellView) => (c.from ?? null) !== null || (c.below ?? null) !== null;
  return set.find((c) => isForSome(c) && width >= (c.from ?? 0) && width < (c.below ?? Infinity)) ?? set.find((c) => !isForSome(c));
}

/** The edit that sets what a band shows: in the cell that decides it at this width. */
export function bandEdit(grip: Grip, side: Band['side'], width: number, text: string): Edit {
  const cell = cellAt(grip.look.cells, grip.property.setting.id, width);
  return {
    kind: 'setCell',
    look: grip.look.id,
    property: grip.property.setting.id,
    state: 'rest',
    from: cell?.from ?? null,
    below: cell?.below ?? null,
    text,
    ...(grip.property.sides && { side: SIDES.indexOf(side) }),
  };
}
