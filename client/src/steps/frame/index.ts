import type { Step } from '../../site/step';

/** The header and footer every page wears, and the menus in them. */
export const frame: Step = {
  id: 'frame',
  name: 'Frame',
  move: 'Apply',
  load: () => import('./FrameStep'),
  places: (site) => site.menus.map((menu) => ({ name: menu.name, where: 'Menu', step: 'frame', params: { view: 'menus' } })),
};
