// Takes the letters that languages are written with out of the Unicode CLDR (main exemplar characters).
// The package is large and used here alone: npm install --no-save --prefix /tmp/cldr cldr-misc-full@48.2.0
// Writes src/Sandbar.Core/Foundations/Type/languages.json. Run with: node scripts/take-languages.mjs /tmp/cldr
import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Languages of websites in Latin, Greek and Cyrillic script. */
const LANGUAGES =
  'sq eu bs br ca hr cs da nl en eo et fo fil fi fr gl de hu is id ga it lv lt lb ms mt nb oc pl pt ro rm sk sl es sw sv tr cy vi az uz af yo ha ig zu el be bg mk ru sr uk kk mn'.split(
    ' ',
  );

const root = `${process.argv[2]}/node_modules/cldr-misc-full`;
const { version } = JSON.parse(readFileSync(`${root}/package.json`, 'utf8'));
const names = new Intl.DisplayNames('en', { type: 'language' });

const languages = LANGUAGES.map((code) => {
  const { exemplarCharacters } = JSON.parse(readFileSync(`${root}/main/${code}/characters.json`, 'utf8')).main[code].characters;
  const letters = new Set();
  const text = exemplarCharacters.replace(/^\[|\]$/g, '').replace(/[{}\s]/g, '');
  if (/[\\^&]|.-./u.test(text)) throw new Error(`${code}: ${text}`);
  for (const letter of text.normalize('NFC'))
    for (const form of [letter, letter.toLocaleUpperCase(code)]) for (const one of form) letters.add(one);
  return { code, name: names.of(code), letters: [...letters].sort().join('') };
}).sort((a, b) => a.name.localeCompare(b.name, 'en'));
writeFileSync(
  fileURLToPath(new URL('../src/Sandbar.Core/Foundations/Type/languages.json', import.meta.url)),
  `${JSON.stringify({ madeBy: 'scripts/take-languages.mjs', source: `Unicode CLDR, cldr-misc-full ${version}`, languages }, null, 2)}\n`,
);
