import { useEffect, useState, type RefObject } from 'react';
import type { Schemas } from '../api/client';

type File = Schemas['FontFileView'];

const known = new Set<string>();

/** Makes the letters of families known to the window itself, so that names and words can be shown in them. A file is fetched when it is first drawn with. */
export function useFonts(families: readonly { name: string; face?: string; files: readonly File[] }[]): void {
  useEffect(() => {
    for (const { name, face, files } of families) for (const file of files) know(face ?? name, file);
  }, [families]);
}

function know(face: string, { address, from, to, italic, ranges }: File): void {
  const key = `${face} ${address}`;
  if (known.has(key)) return;
  known.add(key);
  document.fonts.add(
    new FontFace(face, `url("${address}")`, {
      weight: `${from} ${to}`,
      style: italic ? 'italic' : 'normal',
      display: 'swap',
      ...(ranges && { unicodeRange: ranges }),
    }),
  );
}

/** Whether an element has come into sight, or near it: from then on. */
export function useSeen(element: RefObject<Element | null>): boolean {
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (seen || !element.current) return;
    const observer = new IntersectionObserver((entries) => {
      if (entries.some((e) => e.isIntersecting)) setSeen(true);
    });
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element, seen]);
  return seen;
}
