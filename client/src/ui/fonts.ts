import { useEffect } from 'react';
import type { Schemas } from '../api/client';

const known = new Set<string>();

/** Makes the letters of families known to the window itself, so that names and words can be shown in them. A file is fetched when it is first drawn with. */
export function useFonts(families: readonly { name: string; face?: string; files: readonly Schemas['FontFileView'][] }[]): void {
  useEffect(() => {
    for (const { name, face, files } of families) {
      for (const { address, from, to } of files) {
        if (known.has(address)) continue;
        known.add(address);
        document.fonts.add(new FontFace(face ?? name, `url("${address}")`, { weight: `${from} ${to}`, display: 'swap' }));
      }
    }
  }, [families]);
}
