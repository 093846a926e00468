import { useEffect } from 'react';
import type { Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useChangeAddress } from '../../site/address';
import { ALL_WIDTHS } from '../../ledger/cells';
import { Ledger } from '../../ledger/Ledger';
import { partOf } from '../../site/catalogue';
import { writeView } from '../../stage/view';
import { StepViews, useStepView } from '../../site/StepViews';
import { BlockContent } from '../../content/BlockContent';
import { SchemeChoice } from '../../content/SchemeChoice';
import { MenusPanel } from './MenusPanel';

const VIEWS = [
  { value: 'header', label: 'Header' },
  { value: 'footer', label: 'Footer' },
  { value: 'menus', label: 'Menus' },
] as const;

/** The header and footer every page wears, and the menus in them. */
export default function FrameStep() {
  const view = useStepView(VIEWS);
  const frame = useEditing((e) => e.site.frame);
  return (
    <section className="step-panel" aria-label="Frame">
      <div className="bar">
        <h1>Frame</h1>
        <StepViews label="Part of the frame" views={VIEWS} view={view} />
      </div>
      {/* Long lists scroll, and are reached by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="scroll" tabIndex={0} role="group" aria-label={VIEWS.find((v) => v.value === view)?.label}>
        {view === 'menus' ? <MenusPanel /> : <FramePart block={frame[view]} />}
      </div>
    </section>
  );
}

function FramePart({ block }: { block: Schemas['BlockView'] }) {
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages.length);
  const part = useEditing((e) => partOf(e.catalogue, block.part));
  const look = useEditing((e) => e.site.looks.find((l) => l.id === block.look));
  const changeAddress = useChangeAddress();
  useEffect(() => {
    changeAddress((before) => writeView(before, { reveal: block.id }));
  }, [block.id, changeAddress]);
  return (
    <>
      <div className="subhead">
        <strong>What it holds</strong>
        <span className="quiet">on {pages === 1 ? 'the only page' : `all ${pages} pages`}</span>
        <span className="turns">
          <span className="quiet" aria-hidden="true">
            Scheme
          </span>
          <SchemeChoice
            label={`Scheme of the ${block.name.toLowerCase()}`}
            scheme={block.scheme ?? null}
            around="the page’s"
            isControl
            onChange={(scheme) => void make({ kind: 'setBlockScheme', block: block.id, scheme })}
          />
        </span>
      </div>
      <BlockContent block={block} />
      {part && look && (
        <>
          <div className="subhead">
            <strong>How it looks</strong>
            <code className="quiet" title="selector">
              {look.selector}
            </code>
          </div>
          <Ledger key={look.id} part={part} look={look} widths={ALL_WIDTHS} setting={null} />
        </>
      )}
    </>
  );
}
