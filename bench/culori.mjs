// The other side of bench colors: prints culori's best rates, million a second, for hex to OKLCH, OKLCH to hex (mapped into sRGB), and CIEDE2000 of neighbours in Lab.
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const require = createRequire(path.join(path.dirname(fileURLToPath(import.meta.url)), '../client/package.json'));
const { converter, differenceCiede2000, formatHex, clampChroma, parse } = require('culori');
const [count, rounds] = process.argv.slice(2).map(Number);
const toOklch = converter('oklch');
const hexes = Array.from({ length: count }, () => '#' + Math.floor(Math.random() * 0x1000000).toString(16).padStart(6, '0'));
const oklch = hexes.map((hex) => toOklch(hex));
const best = (work) => {
  let rate = 0;
  for (let round = 0; round < rounds; round++) {
    const started = performance.now();
    work();
    rate = Math.max(rate, count / (performance.now() - started) / 1000);
  }
  return rate;
};
let sum = 0;
const there = best(() => { for (const hex of hexes) sum += toOklch(parse(hex)).l; });
const back = best(() => { for (const color of oklch) sum += formatHex(clampChroma(color, 'oklch', 'rgb')).length; });
const toLab = converter('lab');
const labs = hexes.map((hex) => toLab(hex));
const difference = differenceCiede2000();
const apart = best(() => { for (let i = 1; i < labs.length; i++) sum += difference(labs[i - 1], labs[i]); });
console.log(`${there} ${back} ${apart}`);
if (Number.isNaN(sum)) process.exit(1);
