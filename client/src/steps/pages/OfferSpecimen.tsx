import { useLayoutEffect, useRef } from 'react';
import { scopedSheet } from './scopedSheet';

interface Props {
  /** As the core writes it, with samples in it. */
  html: string;
  /** Generated sheet and overrides of the site. */
  css: string;
  /** CSS name of the scheme it would stand in. */
  scheme: string;
  /** How wide the page around it is, px: it is drawn small. */
  width: number;
}

/** How wide a specimen is drawn, px. */
const DRAWN = 108;

/** What would be added, small, in the site's own letters and colours: kept apart from the window, and nothing to click. */
export function OfferSpecimen({ html, css, scheme, width }: Props) {
  const host = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (!host.current) return;
    const root = host.current.shadowRoot ?? host.current.attachShadow({ mode: 'open' });
    root.adoptedStyleSheets = [scopedSheet(css)];
    root.innerHTML = `<div class="page" data-scheme="${scheme}" inert style="width: ${width}px; transform: scale(${DRAWN / width})">${html}</div>`;
  }, [html, css, scheme, width]);
  return <div ref={host} className="offer-specimen" aria-hidden="true" />;
}
