import type { Edit, LookView, PartView, PropertyView, Schemas } from '../api/client';
import type { Band } from './bands';

type SpaceStep = Schemas['SpaceStepView'];

/** How near a space has to be for the hand to take it, px. */
const NEAR = 2;

const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** The settings that bands show, by their CSS properties. */
const PROPERTIES: Record<Band['kind'], readonly string[]> = {
  padding: ['padding'],
  margin: ['--space-before'],
  gap: ['gap', '--own-gap', '--stack-gap'],
};

/** The setting of a part that a band shows; undefined where it has none. */
export const propertyOf = (part: PartView | undefined, kind: Band['kind']): PropertyView | undefined =>
  part?.properties.find((p) => PROPERTIES[kind].includes(p.cssName));

/** The element a setting of space is about: of an element with a look itself, or a piece inside. */
export function pieceOf(element: Element, property: PropertyView): Element | null {
  // A gap is said of what stands inside: its place is around that.
  const target = property.target.replace(/ > \*$/, '');
  return target === '' || target === ' + *'
    ? element
    : element.querySelector(`:scope${target.startsWith(' >') ? target : ` ${target.trim()}`}`);
}

/** The direction in which a band grows: 1 where the hand moves right or down. */
export const grows = ({ kind, side }: Pick<Band, 'kind' | 'side'>): 1 | -1 =>
  side === 'right' || side === 'bottom' ? (kind === 'margin' ? 1 : -1) : kind === 'margin' ? -1 : 1;

/** What is typed for so many px: the space it is near to, or the px themselves. */
export function textOf(px: number, width: number, spaces: readonly SpaceStep[], free: boolean): string {
  const size = (step: SpaceStep) => step.sizes.find((s) => s.width === width)?.px;
  const nearest = [...spaces].sort((a, b) => Math.abs((size(a) ?? Infinity) - px) - Math.abs((size(b) ?? Infinity) - px))[0];
  const its = nearest && size(nearest);
  return !free && nearest && its !== undefined && Math.abs(its - px) <= NEAR ? nearest.name : `${Math.round(px)}px`;
}

/** The edit that sets what a band shows: in the cell that decides it at this width. */
export function bandEdit(look: LookView, property: PropertyView, side: Band['side'], width: number, text: string): Edit {
  const cell = look.cells.find(
    (c) =>
      c.property === property.setting.id &&
      c.state === 'rest' &&
      ((c.from ?? null) !== null || (c.below ?? null) !== null) &&
      width >= (c.from ?? 0) &&
      width < (c.below ?? Infinity),
  );
  return {
    kind: 'setCell',
    look: look.id,
    property: property.setting.id,
    state: 'rest',
    from: cell?.from ?? null,
    below: cell?.below ?? null,
    text,
    ...(property.sides && { side: SIDES.indexOf(side) }),
  };
}
