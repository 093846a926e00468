import { Button, Input, Select } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ThingView } from '../../api/client';
import { thingsOf } from '../../site/catalogue';
import type { Editing } from '../../site/editing';
import { useFocusNext } from '../../site/useFocusNext';
import { ADD, CHOSEN, EDITOR } from '../../things/ThingsPanel';
import { onEscape } from '../../ui/keys';
import { useActions, useEditing, useEditingLater } from '../../site/editingContext';
import { usePairs } from '../../site/figures';
import { AddColorForm } from './AddColorForm';
import { ALIKE, AlikeGroups, useAlike } from './AlikeGroups';
import { FoundColors } from './FoundColors';
import { ColorEditor } from './ColorEditor';
import { FILTERS, grouped, movedBy, narrowed, type Filter, type ListedColor } from './colorList';
import { ColorRow } from './ColorRow';
import { useSetAddress } from '../../site/address';
import './ColorsPanel.css';

const triedColors = (editing: Editing) => editing.trial?.colors;

/** Every colour with its steps, by group; the chosen one can be changed below. */
export function ColorsPanel() {
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const stored = useEditing((e) => e.site.colors);
  const tried = useEditingLater(triedColors);
  const { make } = useActions();
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const [wanted, setWanted] = useState('');
  const [filter, setFilter] = useState<Filter>('all');
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const colors = things.flatMap((thing): ListedColor[] => {
    const known = stored.find((c) => c.id === thing.id);
    return known ? [{ thing, stored: known, color: tried?.find((t) => t.id === thing.id) ?? known }] : [];
  });
  const [within, setWithin] = useState(ALIKE);
  const alike = useAlike(within, filter === 'alike');
  const failing = usePairs().data?.rows.filter((r) => !r.passes);
  const shown = narrowed(colors, wanted, filter, {
    failing: new Set(failing?.flatMap((r) => r.colors)),
    alike: new Set(alike.flat()),
  });
  const groups = grouped(shown);
  const adding = params.get('color') === 'new';
  const taking = (['list', 'picture', 'stage'] as const).find((from) => from === params.get('color'));
  const chosen = adding || taking ? undefined : (colors.find((c) => c.thing.id === params.get('color')) ?? colors[0]);
  const choose = useCallback((id: string) => setAddress({ color: id }), [setAddress]);
  const row = useRef<HTMLLIElement>(null);
  const chosenId = chosen?.thing.id;
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? 'new' : (taking ?? chosenId));
  const fold = (group: string) =>
    setFolded((before) => (before.has(group) ? new Set([...before].filter((g) => g !== group)) : new Set([...before, group])));
  const place = (id: string, before: string | null, group: string) =>
    void make({ kind: 'placeColor', id, before, group: group === '' ? 'no group' : group });
  const dropOn = (id: string, on: ThingView) => place(id, on.id, stored.find((c) => c.id === on.id)?.group ?? '');
  const moveBy = (id: string, by: -1 | 1) => {
    const to = movedBy(colors, id, by);
    if (to) place(id, to.before, to.group);
  };
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
      <div className="subhead color-search">
        <Input
          size="small"
          allowClear
          aria-label="Search colours"
          placeholder="Search colours"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          onKeyDown={onEscape(() => setWanted(''))}
        />
        <Select size="small" aria-label="Which colours" value={filter} options={[...FILTERS]} onChange={setFilter} />
        <span className="quiet" role="status">
          {shown.length < colors.length
            ? `${shown.length} of ${colors.length}`
            : colors.length === 1
              ? '1 colour'
              : `${colors.length} colours`}
        </span>
      </div>
      {filter === 'alike' && <AlikeGroups colors={colors} groups={alike} within={within} onWithin={setWithin} onMerged={choose} />}
      <div className="rows-above-editor">
        {shown.length === 0 && <p className="empty">{colors.length === 0 ? 'There is no colour yet.' : 'No colour is like that.'}</p>}
        {groups.map(({ group, colors: within }) => (
          <section key={group} aria-label={group === '' ? 'In no group' : group}>
            {(group !== '' || groups.length > 1) && (
              <button type="button" className="group-head" aria-expanded={!folded.has(group)} onClick={() => fold(group)}>
                {group === '' ? 'In no group' : group} <span className="quiet">{within.length}</span>
              </button>
            )}
            {!folded.has(group) && (
              <ul className="chosen-list" aria-label={group === '' ? 'Colours' : `Colours in ${group}`}>
                {within.map(({ thing, color }) => (
                  <li key={thing.id} ref={thing.id === chosenId ? row : null}>
                    <ColorRow
                      thing={thing}
                      color={color}
                      chosen={thing.id === chosen?.thing.id}
                      onChoose={choose}
                      onDrop={dropOn}
                      onMove={moveBy}
                    />
                  </li>
                ))}
              </ul>
            )}
          </section>
        ))}
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
        </Button>{' '}
        <Button size="small" onClick={() => choose('stage')} disabled={taking === 'stage'}>
          From the stage
        </Button>
      </div>
      {adding && <AddColorForm onDone={workOn} onCancel={giveUp} />}
      {taking && <FoundColors key={taking} from={taking} onDone={workOn} onCancel={giveUp} />}
      {chosen && (
        <ColorEditor
          key={chosen.thing.id}
          {...chosen}
          onRemoved={(by) => {
            focusNext(CHOSEN);
            choose(by ?? '');
          }}
        />
      )}
    </div>
  );
}
