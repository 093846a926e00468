// Takes the families of the shelf out of the Fontsource packages of client/package.json: Latin letters, WOFF2, variable weight where there is one.
// Writes src/Sandbar.Core/Foundations/Type/Families. Run with: node scripts/take-families.mjs
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const SHELF = {
  serif: ['fraunces', 'literata', 'source-serif-4', 'lora'],
  sans: ['figtree', 'work-sans', 'public-sans'],
  slab: ['roboto-slab', 'bitter'],
  mono: ['jetbrains-mono', 'source-code-pro'],
  display: ['abril-fatface', 'playfair-display'],
  hand: ['caveat', 'dancing-script'],
};

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
const target = at('src/Sandbar.Core/Foundations/Type/Families');
rmSync(target, { recursive: true, force: true });
mkdirSync(`${target}/licences`, { recursive: true });

const families = Object.entries(SHELF).flatMap(([family, ids]) =>
  ids.map((id) => {
    const variable = at(`client/node_modules/@fontsource-variable/${id}`);
    const folder = existsSync(variable) ? variable : at(`client/node_modules/@fontsource/${id}`);
    const about = JSON.parse(readFileSync(`${folder}/metadata.json`, 'utf8'));
    const pieces = existsSync(variable) ? ['wght'] : about.weights.map(String);
    const files = pieces.map((piece) => {
      const file = `${id}-latin-${piece}-normal`;
      copyFileSync(`${folder}/files/${file}.woff2`, `${target}/${file}.woff2`);
      const [from, to] = piece === 'wght' ? [about.variable.wght.min, about.variable.wght.max].map(Number) : [Number(piece), Number(piece)];
      return { file, from, to };
    });
    copyFileSync(`${folder}/LICENSE`, `${target}/licences/${id}.txt`);
    return { id, name: about.family, class: family, files };
  }),
);
writeFileSync(`${target}/families.json`, `${JSON.stringify({ madeBy: 'scripts/take-families.mjs', families }, null, 2)}\n`);
