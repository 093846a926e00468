// Specificities by @bramus/specificity, which reads selectors with css-tree: tests/references/fixtures/specificity.json.
// Run in client/, where the packages are: node ../tests/references/make-selector-fixtures.mjs
import { createRequire } from 'node:module';
import { writeFileSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = new URL('../../client/', import.meta.url);
const { default: Specificity } = await import(new URL('node_modules/@bramus/specificity/dist/index.js', root));
const version = JSON.parse(readFileSync(fileURLToPath(new URL('node_modules/@bramus/specificity/package.json', root)))).version;

const pieces = ['a', '*', '.b', '#c', '[d]', '[e="f" i]', ':hover', ':focus-visible', '::before', ':first-line', ':is(a, #x .y)', ':where(#x)', ':not(.p, q)', ':has(> .r, + s)',
  ':nth-child(2n + 1)', ':nth-child(even of .t, #u)', ':nth-last-child(odd of v)', ':lang(en)', '::slotted(.w)', ':host(.z)', '::part(x)', ':root', '::-webkit-scrollbar', ':is()'];
const selectors = [...pieces];
for (const a of ['a', '.b', '#c', '[d]', ':hover', ':is(a, #x .y)', ':not(.p, q)'])
  for (const [i, b] of pieces.entries()) {
    if (!/^[a*]/.test(b)) selectors.push(a + b);
    selectors.push(a + [' ', ' > ', '+', ' ~ '][i % 4] + b);
  }
selectors.push('a.b.c#d e:hover::before', 'header nav > ul li:not(:last-child):hover a[href^="http"]::after', ':is(:where(:not(#a)), .b) .c', 'a:has(:is(.b, #c) > d):where(.e)');
const cases = selectors.flatMap((selector) => {
  try {
    const [one] = Specificity.calculate(selector);
    return [{ selector, specificity: [one.a, one.b, one.c] }];
  } catch {
    return [];
  }
});
writeFileSync(fileURLToPath(new URL('fixtures/specificity.json', import.meta.url)), `${JSON.stringify({ madeBy: `@bramus/specificity ${version}`, cases }, null, 1)}\n`);
console.log(cases.length);
