import { Button } from 'antd';
import { useEffect, useState, type RefObject } from 'react';
import { useActions, useEditing } from '../../site/editingContext';
import { LinkField } from '../../values/LinkField';
import { markAround } from './marks';
import { runsOn } from './place';
import type { Writer } from './writer';
import './WritingBar.css';

interface Props {
  writer: Writer;
  /** Id of the page. */
  page: string;
  scale: number;
  said: string | null;
  isLinking: boolean;
  setLinking: (on: boolean) => void;
  bar: RefObject<HTMLDivElement | null>;
}

const MARKS = [
  { mark: 'strong', name: 'Strong', keys: 'Control+B' },
  { mark: 'em', name: 'Emphasis', keys: 'Control+I' },
  { mark: 'code', name: 'Code', keys: 'Control+E' },
] as const;

/** What can be done with what is written on the stage, beside it. */
export function WritingBar({ writer, page, scale, said, isLinking, setLinking, bar }: Props) {
  const { place } = writer;
  const { keepMine, takeStored } = useActions();
  const wrong = useEditing((e) => e.typed[writer.key]?.wrong ?? null);
  const at = useBeside(place.element, scale, bar);
  // A press on a button must not take the selection away.
  const keep = { onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault() };
  const isText = place.slot.kind === 'text';
  const canLead = place.element.closest('a, button, label') === null;
  return (
    <div className="writing-bar" ref={bar} style={at}>
      <div role="toolbar" aria-label={`Writing ${place.slot.name.toLowerCase()}`} className="writing-marks">
        {MARKS.map(({ mark, name, keys }) => (
          <Button
            key={mark}
            size="small"
            aria-keyshortcuts={keys}
            title={`${name} · ${keys.replace('Control', 'Ctrl').replace('+', ' ')}`}
            {...keep}
            onClick={() => writer.mark(mark)}
          >
            {mark === 'strong' ? <strong>{name}</strong> : mark === 'em' ? <em>{name}</em> : <code>{name}</code>}
          </Button>
        ))}
        {canLead && (
          <Button
            size="small"
            aria-keyshortcuts="Control+K"
            aria-expanded={isLinking}
            title="Link · Ctrl K"
            {...keep}
            onClick={() => setLinking(!isLinking)}
          >
            Link
          </Button>
        )}
        {runsOn(place) && (
          <Button
            size="small"
            title={isText ? 'A line becomes an item of a list' : 'An item becomes a paragraph'}
            {...keep}
            onClick={() => void writer.turn()}
          >
            {isText ? 'Make a list' : 'Make lines'}
          </Button>
        )}
      </div>
      {isLinking && <LinkForm writer={writer} page={page} onDone={() => setLinking(false)} />}
      <p className="writing-said" role="status">
        {wrong && wrong.kind !== 'failed' ? wrong.said : said}
        {wrong?.kind === 'clash' && (
          <>
            {' '}
            <Button size="small" {...keep} onClick={() => keepMine(writer.key)}>
              Keep mine
            </Button>
            <Button
              size="small"
              {...keep}
              onClick={() => {
                takeStored(writer.key);
                writer.end();
              }}
            >
              Take theirs
            </Button>
          </>
        )}
      </p>
    </div>
  );
}

/** Where the link at the caret leads. */
function LinkForm({ writer, page, onDone }: { writer: Writer; page: string; onDone: () => void }) {
  const known = markAround(writer.place.element, 'a');
  const done = () => {
    writer.place.element.focus({ preventScroll: true });
    onDone();
  };
  const lead = (to: string | null, says: string) => {
    writer.link(to === '' ? null : to, says);
    done();
  };
  return (
    <div className="writing-link">
      <LinkField label="Where the link leads" held={known?.dataset.to ?? ''} page={page} opened onChoose={lead} onEscape={done} />
      {known && (
        <Button size="small" onClick={() => lead(null, '')}>
          No link
        </Button>
      )}
    </div>
  );
}

/** Above the element where there is room, else below it; it follows as the page scrolls and grows. */
function useBeside(element: HTMLElement, scale: number, bar: RefObject<HTMLDivElement | null>): { left: number; top: number } {
  const [at, setAt] = useState({ left: 0, top: 0 });
  useEffect(() => {
    const view = element.ownerDocument.defaultView;
    let frame = 0;
    const measure = () => {
      frame = 0;
      const { left, top, bottom } = element.getBoundingClientRect();
      const [width, height] = [bar.current?.offsetWidth ?? 0, bar.current?.offsetHeight ?? 0];
      const room = bar.current?.parentElement?.getBoundingClientRect();
      const above = top * scale - height - 8;
      setAt({
        left: Math.max(4, Math.min(left * scale, (room?.width ?? Infinity) - width - 4)),
        top: above >= 4 ? above : Math.min(bottom * scale + 8, (room?.height ?? Infinity) - height - 4),
      });
    };
    const again = () => {
      if (frame === 0) frame = requestAnimationFrame(measure);
    };
    again();
    const observer = new ResizeObserver(again);
    observer.observe(element);
    if (bar.current) observer.observe(bar.current);
    view?.addEventListener('scroll', again, { passive: true });
    return () => {
      cancelAnimationFrame(frame);
      observer.disconnect();
      view?.removeEventListener('scroll', again);
    };
  }, [element, scale, bar]);
  return at;
}
