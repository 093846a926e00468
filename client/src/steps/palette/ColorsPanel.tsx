import { Button } from 'antd';
import { memo, useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { ColorView, ThingView } from '../../api/client';
import { thingsOf } from '../../site/catalogue';
import type { Editing } from '../../site/editing';
import { useFocusNext } from '../../site/useFocusNext';
import { ADD, CHOSEN, EDITOR } from '../../things/ThingsPanel';
import { Shortened } from '../../ui/Shortened';
import { usesText } from '../../ui/words';
import { useEditing, useEditingLater } from '../../site/editingContext';
import { AddColorForm } from './AddColorForm';
import { FoundColors } from './FoundColors';
import { ColorEditor } from './ColorEditor';
import { useSetAddress } from '../../site/address';
import './ColorsPanel.css';

const triedColors = (editing: Editing) => editing.trial?.colors;

/** Every colour with its steps; the chosen one can be changed below. */
export function ColorsPanel() {
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const stored = useEditing((e) => e.site.colors);
  const tried = useEditingLater(triedColors);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const colors = things.flatMap((thing) => {
    const known = stored.find((c) => c.id === thing.id);
    return known ? [{ thing, stored: known, color: tried?.find((t) => t.id === thing.id) ?? known }] : [];
  });
  const adding = params.get('color') === 'new';
  const taking = (['list', 'picture'] as const).find((from) => from === params.get('color'));
  const chosen = adding || taking ? undefined : (colors.find((c) => c.thing.id === params.get('color')) ?? colors[0]);
  const choose = useCallback((id: string) => setAddress({ color: id }), [setAddress]);
  const row = useRef<HTMLLIElement>(null);
  const chosenId = chosen?.thing.id;
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? 'new' : (taking ?? chosenId));
  const workOn = (id: string) => {
    focusNext(EDITOR);
    choose(id);
  };
  const giveUp = () => {
    focusNext(ADD);
    choose('');
  };
  // Chosen elsewhere, or added far down a long list, it comes into sight.
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosenId]);

  return (
    <div ref={panel} className="panel-column">
      <div className="subhead">
        <span>
          6 tints · <strong>the colour you gave</strong> · 5 shades
        </span>
        <span className="quiet">{colors.length === 1 ? '1 colour' : `${colors.length} colours`}</span>
      </div>
      <div className="rows-above-editor">
        <ul className="chosen-list" aria-label="Colours">
          {colors.map(({ thing, color }) => (
            <li key={thing.id} ref={thing.id === chosenId ? row : null}>
              <ColorRow thing={thing} color={color} chosen={thing.id === chosen?.thing.id} onChoose={choose} />
            </li>
          ))}
        </ul>
      </div>
      <div className="below-rows">
        <Button size="small" onClick={() => choose('new')} disabled={adding}>
          Add a colour
        </Button>{' '}
        <Button size="small" onClick={() => choose('list')} disabled={taking === 'list'}>
          Paste a list
        </Button>{' '}
        <Button size="small" onClick={() => choose('picture')} disabled={taking === 'picture'}>
          From a picture
        </Button>
      </div>
      {adding && <AddColorForm onDone={workOn} onCancel={giveUp} />}
      {taking && <FoundColors key={taking} from={taking} onDone={workOn} onCancel={giveUp} />}
      {chosen && (
        <ColorEditor
          key={chosen.thing.id}
          {...chosen}
          onRemoved={() => {
            focusNext(CHOSEN);
            choose('');
          }}
        />
      )}
    </div>
  );
}

interface RowProps {
  thing: ThingView;
  color: ColorView;
  chosen: boolean;
  onChoose: (id: string) => void;
}

const ColorRow = memo(function ColorRow({ thing, color, chosen, onChoose }: RowProps) {
  return (
    <button
      type="button"
      className="row-button color-row"
      aria-pressed={chosen}
      onClick={() => onChoose(thing.id)}
      title={thing.uses.join('\n') || 'Not used yet'}
    >
      <strong className="color-name" title={thing.name}>
        <Shortened text={thing.name} end={6} />
      </strong>
      <code className="quiet">{color.hex}</code>
      <span className="strip" aria-hidden="true">
        {[...color.tints].reverse().map((hex, i) => (
          <span key={`tint ${i}`} style={{ background: hex }} />
        ))}
        <span className="base" style={{ background: color.hex }} />
        {color.shades.map((hex, i) => (
          <span key={`shade ${i}`} style={{ background: hex }} />
        ))}
      </span>
      <span className="uses">{usesText(thing.uses)}</span>
    </button>
  );
});
