// Writes fixtures/colors.json from colorjs.io and culori, with their versions in it.
//   node tests/references/make-color-fixtures.mjs      (after npm ci in client/)
import { createRequire } from 'node:module';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const here = path.dirname(fileURLToPath(import.meta.url));
const require = createRequire(path.join(here, '../../client/package.json'));
const colorjs = require('colorjs.io');
const Color = colorjs.default ?? colorjs;
const culori = require('culori');
const version = (name) => JSON.parse(fs.readFileSync(path.join(here, '../../client/node_modules', name, 'package.json'))).version;

const SPACES = { srgb: 'srgb', 'srgb-linear': 'srgb-linear', hsl: 'hsl', hwb: 'hwb', lab: 'lab', lch: 'lch', oklab: 'oklab', oklch: 'oklch', 'xyz-d65': 'xyz-d65',
  'xyz-d50': 'xyz-d50', 'display-p3': 'p3', 'a98-rgb': 'a98rgb', 'prophoto-rgb': 'prophoto', rec2020: 'rec2020' };

// A fixed sequence, so that the file is the same each time.
let seed = 20260711;
const random = () => ((seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648);
const hex = () => '#' + [0, 0, 0].map(() => Math.floor(random() * 256).toString(16).padStart(2, '0')).join('');

const given = ['#000000', '#ffffff', '#808080', '#8a2846', '#2f5d3a', '#e3b23c', '#f6efe2', 'red', 'lime', 'blue', 'rebeccapurple',
  ...Array.from({ length: 60 }, hex),
  ...Array.from({ length: 12 }, () => `oklch(${(0.15 + random() * 0.7).toFixed(3)} ${(random() * 0.1).toFixed(3)} ${(random() * 360).toFixed(1)})`),
  ...Array.from({ length: 8 }, () => `lab(${(20 + random() * 60).toFixed(2)} ${(random() * 40 - 20).toFixed(2)} ${(random() * 40 - 20).toFixed(2)})`),
  ...Array.from({ length: 8 }, () => `hsl(${(random() * 360).toFixed(1)} ${(random() * 100).toFixed(1)}% ${(10 + random() * 80).toFixed(1)}%)`),
  ...Array.from({ length: 6 }, () => `hwb(${(random() * 360).toFixed(1)} ${(random() * 50).toFixed(1)}% ${(random() * 50).toFixed(1)}%)`)];
const outside = ['color(display-p3 1 0 0)', 'color(display-p3 0 1 0)', 'color(display-p3 0 0 1)', 'color(rec2020 0 1 0)', 'color(rec2020 1 0.2 0.1)',
  'oklch(0.7 0.3 150)', 'oklch(0.5 0.4 30)', 'oklch(0.9 0.2 90)', 'oklch(1 0.2 90)', 'oklch(0 0.2 90)', 'color(prophoto-rgb 0.1 0.8 0.2)',
  ...Array.from({ length: 30 }, () => `oklch(${(0.05 + random() * 0.9).toFixed(3)} ${(0.15 + random() * 0.25).toFixed(3)} ${(random() * 360).toFixed(1)})`)];

const components = (color, space) => color.to(space).coords.map((c) => (c === null || Number.isNaN(c) ? null : c));
const conversions = [...given, ...outside].map((css) => {
  const color = new Color(css);
  const isOutside = outside.includes(css);
  const to = {};
  for (const [name, id] of Object.entries(SPACES)) {
    // HSL and HWB say nothing about colours outside sRGB.
    if (isOutside && (name === 'hsl' || name === 'hwb')) continue;
    to[name] = components(color, id);
  }
  return { css, to, hex: color.to('srgb').toGamut({ space: 'srgb', method: 'css' }).toString({ format: 'hex', collapse: false }) };
});

const pairs = Array.from({ length: 120 }, () => {
  const a = hex(), b = hex();
  return { a, b, ciede2000: new Color(a).deltaE(new Color(b), '2000'), oklab: new Color(a).deltaE(new Color(b), 'OK'), contrast: culori.wcagContrast(a, b) };
});
// Mixes in the spaces of color-mix(), colours with alpha among them.
const mixes = ['oklab', 'oklch', 'lab', 'lch', 'srgb', 'srgb-linear', 'hsl'].flatMap((space) => Array.from({ length: 30 }, (_, i) => {
  const a = i % 3 === 0 ? `${hex()}80` : hex(), b = i % 4 === 0 ? `${hex()}33` : i === 7 ? '#808080' : hex(), share = Math.round(random() * 100) / 100;
  const mixed = Color.mix(a, b, share, { space: SPACES[space], outputSpace: SPACES[space], premultiplied: true, hue: 'shorter' });
  return { a, b, share, space, components: components(mixed, SPACES[space]), alpha: Number(mixed.alpha) };
}));

// culori again, by other code than colorjs.io's.
const culoriOklch = given.filter((c) => c.startsWith('#')).map((css) => { const { l, c, h } = culori.oklch(css); return { css, components: [l, c, h ?? null] }; });

fs.writeFileSync(path.join(here, 'fixtures/colors.json'), JSON.stringify({
  madeBy: 'tests/references/make-color-fixtures.mjs', 'colorjs.io': version('colorjs.io'), culori: version('culori'), conversions, pairs, mixes, culoriOklch }, null, 1) + '\n');
