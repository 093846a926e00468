import { looksOf } from '../../site/catalogue';
import type { Step } from '../../site/step';

/** Every part's looks in the ledger. */
export const parts: Step = {
  id: 'parts',
  name: 'Parts',
  move: 'Apply',
  load: () => import('./PartsStep'),
  places: (site, catalogue) =>
    catalogue.parts.flatMap((part) => {
      const looks = looksOf(site, part.id);
      const first = looks[0];
      if (!first) return [];
      const params = { part: part.id, look: first.id };
      return [
        { name: part.name, where: 'Part', step: 'parts', params },
        ...(looks.length > 1 ? looks : []).map((look) => ({
          name: look.name,
          where: `Look · ${part.name}`,
          step: 'parts',
          params: { part: part.id, look: look.id },
        })),
        ...part.properties.map(({ setting }) => ({
          name: setting.name,
          where: `Setting · ${part.name}`,
          step: 'parts',
          params: { ...params, setting: setting.id },
        })),
      ];
    }),
};
