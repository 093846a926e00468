// Fluid sizes and spaces by utopia-core, in px at both ends and as clamp(): tests/references/fixtures/fluid.json.
// Run in client/, where the package is: node ../tests/references/make-type-fixtures.mjs
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const require = createRequire(new URL('../../client/package.json', import.meta.url));
const { calculateClamp, calculateSpaceScale, calculateTypeScale } = require('utopia-core');
const version = require('utopia-core/package.json').version;

const scales = [
  { minWidth: 390, maxWidth: 1280, minFontSize: 17, maxFontSize: 18, minTypeScale: 1.2, maxTypeScale: 1.25 },
  { minWidth: 320, maxWidth: 1500, minFontSize: 16, maxFontSize: 20, minTypeScale: 1.067, maxTypeScale: 1.618 },
  { minWidth: 360, maxWidth: 1240, minFontSize: 18, maxFontSize: 16, minTypeScale: 1.125, maxTypeScale: 1.2 },
].map((scale) => ({
  scale,
  steps: calculateTypeScale({ ...scale, positiveSteps: 5, negativeSteps: 2 }).map(({ step, minFontSize, maxFontSize, clamp }) => ({
    step: Number(step),
    min: minFontSize,
    max: maxFontSize,
    clamp,
  })),
}));
const clamps = [
  [390, 17, 1280, 18],
  [320, 16, 1240, 40],
  [360, 24, 1440, 12],
  [400, 33.3, 900, 71.25],
].map(([minWidth, minSize, maxWidth, maxSize]) => ({ minWidth, minSize, maxWidth, maxSize, css: calculateClamp({ minWidth, maxWidth, minSize, maxSize }) }));

const spaces = [
  { minWidth: 390, maxWidth: 1280, minSize: 16, maxSize: 20, positiveSteps: [1.5, 2, 3, 4, 6], negativeSteps: [0.75, 0.5, 0.25] },
  { minWidth: 320, maxWidth: 1500, minSize: 18, maxSize: 16, positiveSteps: [1.618, 2.618], negativeSteps: [0.618] },
].map((space) => ({
  space,
  sizes: calculateSpaceScale(space).sizes.map(({ minSize, maxSize, clamp }) => ({ min: minSize, max: maxSize, clamp })),
}));

writeFileSync(fileURLToPath(new URL('fixtures/fluid.json', import.meta.url)), `${JSON.stringify({ madeBy: `utopia-core ${version}`, scales, clamps, spaces }, null, 1)}\n`);
