import { MOVES, type Step } from '../site/step';
import { edges } from '../steps/edges';
import { fills } from '../steps/fills';
import { frame } from '../steps/frame';
import { overrides } from '../steps/overrides';
import { pages } from '../steps/pages';
import { palette } from '../steps/palette';
import { parts } from '../steps/parts';
import { snapshots } from '../steps/snapshots';
import { space } from '../steps/space';
import { type } from '../steps/type';

/** The steps in working order. Only what is built is listed. */
export const STEPS: readonly Step[] = [palette, type, space, edges, fills, frame, parts, pages, overrides, snapshots];

/** The steps under their moves. */
export const COURSE = MOVES.map((move) => ({ move, steps: STEPS.filter((step) => step.move === move) }));
