// Reads a stylesheet with lightningcss and css-tree and prints as JSON what they find wrong: node tests/references/check-css.mjs FILE
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';

const require = createRequire(new URL('../../client/package.json', import.meta.url));
const { transform } = require('lightningcss');
const csstree = require('css-tree');

const css = readFileSync(process.argv[2], 'utf8');
const found = [];
try {
  const { warnings } = transform({ filename: 'site.css', code: Buffer.from(css), errorRecovery: true });
  for (const { message, loc } of warnings) found.push(`lightningcss ${loc?.line}: ${message}`);
} catch (error) {
  found.push(`lightningcss ${error.loc?.line}: ${error.message}`);
}
const tree = csstree.parse(css, { positions: true, onParseError: (error) => found.push(`css-tree ${error.line}: ${error.message}`) });

// css-tree does not look behind var(): each is replaced by what the sheet declares first.
const declared = new Map();
const declarations = [];
csstree.walk(tree, {
  visit: 'Declaration',
  enter(node) {
    const value = csstree.generate(node.value);
    if (node.property.startsWith('--')) declared.set(node.property, declared.get(node.property) ?? value);
    else if (this.atrule?.name !== 'font-face') declarations.push({ line: node.loc.start.line, property: node.property, value });
  },
});
const resolved = (value) => {
  const next = value.replace(/var\((--[\w-]+)\s*(?:,((?:[^()]|\((?:[^()]|\([^()]*\))*\))*))?\)/g, (whole, name, otherwise) => {
    if (otherwise?.includes('var(')) return `var(${name},${resolved(otherwise)})`;
    const said = declared.get(name);
    // What is taken back is as if it had never been said.
    return ` ${said === undefined || said === 'initial' ? (otherwise ?? whole) : said} `;
  });
  return next === value ? value : resolved(next);
};
for (const { line, property, value } of declarations) {
  const { error } = csstree.lexer.matchProperty(property, csstree.parse(resolved(value), { context: 'value' }));
  if (error) found.push(`css-tree ${line}: ${property}: ${resolved(value)}: ${error.rawMessage ?? error.message}`);
}
console.log(JSON.stringify({ found, declarations: declarations.length }));
