import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { answered, api, type Edit } from '../../api/client';
import { reachText, useReachOf } from '../../site/figures';
import { useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { Problem } from '../../ui/Problem';
import type { ListedColor } from './colorList';
import './AlikeGroups.css';

/** What is hardly told apart, CIEDE2000. */
export const ALIKE = 2.5;

const NONE: readonly string[][] = [];

/** The groups of colours that are nearly the same, by their ids. */
export function useAlike(within: number, enabled: boolean): readonly string[][] {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const alike = useQuery({
    queryKey: ['alike', slug, version, within],
    queryFn: () => answered(api.GET('/api/sites/{slug}/colors/alike', { params: { path: { slug }, query: { within } } })),
    placeholderData: keepPreviousData,
    enabled,
    gcTime: 60_000,
  });
  return alike.data ?? NONE;
}

interface Props {
  colors: readonly ListedColor[];
  groups: readonly string[][];
  within: number;
  onWithin: (within: number) => void;
  onMerged: (id: string) => void;
}

/** Colours that are nearly the same, group by group, each of which can become one. */
export function AlikeGroups({ colors, groups, within, onWithin, onMerged }: Props) {
  const [merging, setMerging] = useState<number | null>(null);
  const called = (id: string) => colors.find((c) => c.thing.id === id)?.thing.name ?? '';
  return (
    <section className="alike" aria-label="Alike">
      <div className="alike-within">
        <span className="quiet">Alike within</span>
        <InputNumber
          aria-label="Alike within, CIEDE2000"
          size="small"
          min={0}
          max={20}
          step={0.5}
          value={within}
          onChange={(next) => onWithin(next ?? ALIKE)}
        />
        <span className="quiet">CIEDE2000</span>
      </div>
      {groups.length === 0 && <p className="empty">No two colours are that near to each other.</p>}
      <ul>
        {groups.map((ids, i) => (
          <li key={ids.join()}>
            <span>
              {ids.map((id) => (
                <span key={id} className="swatched">
                  <span className="swatch" style={{ background: colors.find((c) => c.thing.id === id)?.stored.hex }} /> {called(id)}
                </span>
              ))}
            </span>
            <Button size="small" aria-expanded={merging === i} onClick={() => setMerging(merging === i ? null : i)}>
              Merge
            </Button>
            {merging === i && (
              <Merge
                ids={ids}
                called={called}
                onDone={(id) => {
                  setMerging(null);
                  onMerged(id);
                }}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Which of a group stays, and what it would reach: on the stage, and told, before it is done. */
function Merge({ ids, called, onDone }: { ids: readonly string[]; called: (id: string) => string; onDone: (id: string) => void }) {
  const { shownBy, make } = useTrial();
  const [kept, setKept] = useState(ids[0] ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const gone = ids.filter((id) => id !== kept);
  const edit: Edit = {
    kind: 'together',
    words: `${gone.map(called).join(', ')} merged into ${called(kept)}`.slice(0, 200),
    edits: gone.map((id) => ({ kind: 'removeThing', of: 'color', id, by: kept, in: null })),
  };
  const reach = useReachOf(edit);
  const merge = async () => {
    const wrong = await make(edit, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onDone(kept);
  };
  return (
    <div className="merge">
      <Select
        size="small"
        aria-label="Which colour stays"
        value={kept}
        options={ids.map((id) => ({ value: id, label: `${called(id)} stays` }))}
        popupMatchSelectWidth={false}
        onChange={setKept}
      />
      <span className="quiet" role="status">
        {reach.data ? `reaches ${reachText(reach.data)}` : reach.isError ? reach.error.message : 'Looking where it reaches…'}
      </span>
      <Button size="small" type="primary" onClick={() => void merge()} {...shownBy(edit)}>
        Merge into {called(kept)}
      </Button>
      <Problem text={problem} />
    </div>
  );
}
