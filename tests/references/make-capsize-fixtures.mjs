// Metrics of the bundled families by @capsizecss/metrics: tests/references/fixtures/capsize.json.
// Run in client/, where the package is: node ../tests/references/make-capsize-fixtures.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const require = createRequire(new URL('../../client/package.json', import.meta.url));
const { entireMetricsCollection } = require('@capsizecss/metrics/entireMetricsCollection');
const { version } = JSON.parse(readFileSync(new URL('../../client/node_modules/@capsizecss/metrics/package.json', import.meta.url)));
const { families } = JSON.parse(readFileSync(new URL('../../src/Sandbar.Core/Foundations/Type/Families/families.json', import.meta.url)));

const all = Object.values(entireMetricsCollection);
const known = families.flatMap(({ id, name }) => {
  const found = all.find((m) => m.familyName === name);
  if (!found) return [];
  const { capHeight, ascent, descent, lineGap, unitsPerEm, xHeight } = found;
  return [{ id, name, unitsPerEm, ascent, descent, lineGap, capHeight, xHeight }];
});
writeFileSync(
  fileURLToPath(new URL('fixtures/capsize.json', import.meta.url)),
  `${JSON.stringify({ madeBy: `@capsizecss/metrics ${version}`, known }, null, 1)}\n`,
);
