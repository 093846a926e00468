import { Button, Input, Select } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ThingView } from '../../api/client';
import { thingsOf } from '../../site/catalogue';
import { useFocusNext } from '../../site/useFocusNext';
import { ADD, CHOSEN, EDITOR } from '../../things/focus';
import { onEscape } from '../../ui/keys';
import { useActions, useEditing } from '../../site/editingContext';
import { usePairs } from '../../site/figures';
import { AddColorForm } from './AddColorForm';
import { ALIKE, AlikeGroups, useAlike } from './AlikeGroups';
import { ColorEditor } from './ColorEditor';
import { PastedColors } from './PastedColors';
import { PictureColors } from './PictureColors';
import { StageColors } from './StageColors';
import { FILTERS, grouped, movedBy, narrowed, type Filter, type ListedColor } from './colorList';
import { ColorRows } from './ColorRows';
import { useSetAddress } from '../../site/address';
import './ColorsPanel.css';

/** Every colour with its steps, by group; the chosen one can be changed below. */
export function ColorsPanel() {
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const stored = useEditing((e) => e.site.colors);
  const { make } = useActions();
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const [wanted, setWanted] = useState('');
  const [filter, setFilter] = useState<Filter>('all');
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const colors = useMemo(
    () =>
      things.flatMap((thing): ListedColor[] => {
        const known = stored.find((c) => c.id === thing.id);
        return known ? [{ thing, stored: known }] : [];
      }),
    [things, stored],
  );
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
  const chosenId = chosen?.thing.id;
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? 'new' : (taking ?? chosenId));
  const fold = (group: string) =>
    setFolded((before) => (before.has(group) ? new Set([...before].filter((g) => g !== group)) : new Set([...before, group])));
  // The same for as long as the colours are: rows are drawn anew only for what they show.
  const place = useCallback(
    (id: string, before: string | null, group: string) =>
      void make({ kind: 'placeColor', id, before, group: group === '' ? 'no group' : group }),
    [make],
  );
  const dropOn = useCallback(
    (id: string, on: ThingView) => place(id, on.id, stored.find((c) => c.id === on.id)?.group ?? ''),
    [place, stored],
  );
  const moveBy = useCallback(
    (id: string, by: -1 | 1) => {
      const to = movedBy(colors, id, by);
      if (to) place(id, to.before, to.group);
    },
    [place, colors],
  );
  const workOn = (id: string) => {
    focusNext(EDITOR);
    choose(id);
  };
  const giveUp = () => {
    focusNext(ADD);
    choose('');
  };

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
              <ColorRows
                label={group === '' ? 'Colours' : `Colours in ${group}`}
                colors={within}
                chosen={chosenId}
                onChoose={choose}
                onDrop={dropOn}
                onMove={moveBy}
              />
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
      {taking === 'list' && <PastedColors onDone={workOn} onCancel={giveUp} />}
      {taking === 'picture' && <PictureColors onDone={workOn} onCancel={giveUp} />}
      {taking === 'stage' && <StageColors onDone={workOn} onCancel={giveUp} />}
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
