import type { ReactNode } from 'react';
import type { Schemas, ThingView } from '../api/client';
import { AddThing } from './AddThing';
import { ThingEditor } from './ThingEditor';
import { ADD, CHOSEN, EDITOR } from './focus';

interface Props {
  kind: Schemas['KindView'];
  /** The one that is chosen; undefined for none. */
  chosen: ThingView | undefined;
  /** All of its kind. */
  things: readonly ThingView[];
  /** Whether one is being added. */
  adding: boolean;
  choose: (id: string) => void;
  /** Gives the focus to where work goes on. */
  focusNext: (selector: string) => void;
  /** What is shown of the chosen one, above its settings. */
  drawn?: ((thing: ThingView) => ReactNode) | undefined;
  /** Whether that shows the items, too. */
  drawsItems?: boolean;
}

/** What stands below a list of things: the form of one that is added, or the editor of the chosen one. */
export function BelowList({ kind, chosen, things, adding, choose, focusNext, drawn, drawsItems = false }: Props) {
  // What is new is worked on in its editor; where something is gone, the list is gone on from.
  const go = (selector: string) => (id: string | null) => {
    focusNext(selector);
    choose(id ?? '');
  };
  return (
    <>
      {adding && <AddThing kind={kind} onDone={go(EDITOR)} onCancel={() => go(ADD)('')} />}
      {chosen && (
        <ThingEditor
          key={chosen.id}
          kind={kind}
          thing={chosen}
          others={things}
          onCopied={go(EDITOR)}
          onRemoved={go(CHOSEN)}
          drawsItems={drawsItems}
        >
          {drawn?.(chosen)}
        </ThingEditor>
      )}
    </>
  );
}
