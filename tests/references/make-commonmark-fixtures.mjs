// The examples of the CommonMark specification (commonmark-spec, CC BY-SA 4.0): tests/references/fixtures/commonmark.json.
// Run in client/, where the packages are: node ../tests/references/make-commonmark-fixtures.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(new URL('../../client/', import.meta.url));
const { text, tests } = require('commonmark-spec');
const version = JSON.parse(readFileSync(require.resolve('commonmark-spec/package.json'))).version;
if (!text.includes('CommonMark Spec')) throw new Error('This is not the specification.');
const examples = tests.map(({ section, number, markdown, html }) => ({ section, number, markdown, html }));
writeFileSync(
  new URL('fixtures/commonmark.json', import.meta.url),
  `{"source":"CommonMark specification, commonmark-spec ${version}, CC BY-SA 4.0","examples":[\n${examples.map((e) => JSON.stringify(e)).join(',\n')}\n]}\n`,
);
