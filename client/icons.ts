import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';

const FOLDER = join(import.meta.dirname, 'node_modules', 'lucide-static');

const NAME = 'virtual:icons';

/** Puts the open-licence icons into one module that is only read when they are looked at, and their licence beside it. */
export function icons(): Plugin {
  return {
    name: 'icons',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
    load: (id) => (id === `\0${NAME}` ? `export default ${JSON.stringify(read())}` : null),
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'app/icons-licence.txt', source: readFileSync(join(FOLDER, 'LICENSE'), 'utf8') });
    },
  };
}

/** Each by its name, with the words it is found by and what is drawn in a box of 24 units. */
function read(): [name: string, words: string, drawing: string][] {
  const tags = JSON.parse(readFileSync(join(FOLDER, 'tags.json'), 'utf8')) as Record<string, string[]>;
  return readdirSync(join(FOLDER, 'icons'))
    .filter((file) => file.endsWith('.svg'))
    .map((file) => {
      const name = file.slice(0, -'.svg'.length);
      const drawing = readFileSync(join(FOLDER, 'icons', file), 'utf8')
        .replace(/^[\s\S]*?<svg[^>]*>|<\/svg>\s*$/g, '')
        .replace(/\s*\n\s*/g, '');
      return [name.replaceAll('-', ' '), (tags[name] ?? []).join(' '), drawing];
    });
}
