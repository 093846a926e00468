import { Select } from 'antd';
import { useState } from 'react';
import type { ThingView } from '../../api/client';
import { fieldOf, kindOf, namesIn } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';

interface Props {
  thing: ThingView;
  onProblem: (problem: string | null) => void;
}

/** Gives all stops of one colour another. */
export function Recolor({ thing, onProblem }: Props) {
  const { make } = useActions();
  const colors = [...new Set((thing.items ?? []).map((item) => fieldOf(item, 'color')))];
  const [wanted, setWanted] = useState<string | null>(null);
  const setting = useEditing((e) => kindOf(e.catalogue, 'gradient')?.items?.fields.find((f) => f.id === 'color'));
  const all = useEditing((e) => e.site.names);
  const names = setting ? namesIn(all, setting) : [];
  const from = wanted !== null && colors.includes(wanted) ? wanted : (colors[0] ?? '');
  return (
    <span className="recolor">
      <Select
        size="small"
        aria-label="Colour to replace in it"
        value={from}
        options={colors.map((color) => ({ value: color, label: color }))}
        onChange={setWanted}
        popupMatchSelectWidth={200}
      />
      <Select
        size="small"
        showSearch
        aria-label={`What replaces ${from}`}
        placeholder="becomes…"
        value={null}
        options={names.map((name) => ({ value: name, label: name }))}
        onChange={(to: string) =>
          void make({ kind: 'recolorGradient', id: thing.id, from, to }, { saidAtItsPlace: true }).then((wrong) => {
            onProblem(wrong);
            if (wrong === null) setWanted(to);
          })
        }
        popupMatchSelectWidth={220}
      />
    </span>
  );
}
