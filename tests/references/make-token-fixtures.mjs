// Writes fixtures/css-tokens.json from @rmenke/css-tokenizer-tests (MIT), with its version in it.
import { createRequire } from 'node:module';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const here = path.dirname(fileURLToPath(import.meta.url));
const require = createRequire(path.join(here, '../../client/package.json'));
const { testCorpus } = require('@rmenke/css-tokenizer-tests');
const { version } = JSON.parse(fs.readFileSync(path.join(here, '../../client/node_modules/@rmenke/css-tokenizer-tests/package.json')));
const cases = Object.entries(testCorpus).map(([name, { css, tokens }]) => ({ name, css, tokens }));
fs.writeFileSync(path.join(here, 'fixtures/css-tokens.json'), JSON.stringify({ madeBy: 'tests/references/make-token-fixtures.mjs', '@rmenke/css-tokenizer-tests': version, cases }) + '\n');
