// Takes the families of the shelf out of the Fontsource packages of client/package.json: letters of western, central and eastern European languages in
// Latin script (two files, of which a browser fetches the second only where a page needs it), WOFF2, variable where there is a variable font.
// Writes src/Sandbar.Core/Foundations/Type/Families. Run with: node scripts/take-families.mjs
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Families by class. After the colon the axes that are taken besides weight, by the package's name for them. */
const SHELF = {
  serif: ['fraunces', 'literata', 'source-serif-4', 'lora', 'newsreader', 'eb-garamond'],
  sans: ['figtree', 'work-sans', 'public-sans', 'source-sans-3', 'inter', 'recursive:mono'],
  slab: ['roboto-slab', 'bitter', 'zilla-slab', 'aleo', 'podkova'],
  mono: ['jetbrains-mono', 'source-code-pro', 'martian-mono:wdth', 'sometype-mono'],
  display: ['abril-fatface', 'playfair-display', 'bricolage-grotesque:wdth', 'big-shoulders'],
  hand: ['caveat', 'dancing-script', 'shantell-sans:spac', 'kalam'],
};

const SUBSETS = ['latin', 'latin-ext'];

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
const target = at('src/Sandbar.Core/Foundations/Type/Families');
rmSync(target, { recursive: true, force: true });
mkdirSync(`${target}/licences`, { recursive: true });

const families = Object.entries(SHELF).flatMap(([family, ids]) =>
  ids.map((entry) => {
    const [id, axes = 'wght'] = entry.split(':');
    const variable = at(`client/node_modules/@fontsource-variable/${id}`);
    const folder = existsSync(variable) ? variable : at(`client/node_modules/@fontsource/${id}`);
    const about = JSON.parse(readFileSync(`${folder}/metadata.json`, 'utf8'));
    const ranges = JSON.parse(readFileSync(`${folder}/unicode.json`, 'utf8'));
    const pieces = existsSync(variable) ? [axes] : about.weights.map(String);
    const files = ['normal', 'italic'].flatMap((slant) =>
      about.styles.includes(slant) ? SUBSETS.flatMap((subset) => pieces.map((piece) => taken({ slant, subset, piece }))) : [],
    );
    copyFileSync(`${folder}/LICENSE`, `${target}/licences/${id}.txt`);
    return { id, name: about.family, class: family, files };

    function taken({ slant, subset, piece }) {
      const file = `${id}-${subset}-${piece}-${slant}`;
      const bytes = readFileSync(`${folder}/files/${file}.woff2`);
      writeFileSync(`${target}/${file}.woff2`, bytes);
      const [from, to] = /^\d+$/.test(piece) ? [piece, piece] : [about.variable.wght.min, about.variable.wght.max];
      return {
        file,
        from: Number(from),
        to: Number(to),
        italic: slant === 'italic',
        ranges: ranges[subset],
        hash: createHash('sha256').update(bytes).digest('hex'),
      };
    }
  }),
);
writeFileSync(`${target}/families.json`, `${JSON.stringify({ madeBy: 'scripts/take-families.mjs', families }, null, 2)}\n`);
