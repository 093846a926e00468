import { Button } from 'antd';
import { useState } from 'react';
import type { Edit } from '../api/client';
import { useTrial } from '../site/useTrial';
import { Problem } from '../ui/Problem';
import './readings.css';

interface Mend {
  words: string;
  /** What it brings, as it is painted. */
  color: string;
  /** What it comes to. */
  note: string;
  edit: Edit;
}

/** Ways to mend a pair. What the pointer or the focus is on is shown on the stage; a press makes it. */
export function MendButtons({ mends, onDone }: { mends: readonly Mend[]; onDone: () => void }) {
  const { shownBy, make } = useTrial();
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (edit: Edit) => {
    const wrong = await make(edit, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onDone();
  };
  return (
    <>
      {mends.map((mend) => (
        <Button key={mend.words} className="mend" onClick={() => void take(mend.edit)} {...shownBy(mend.edit)}>
          <span className="swatch" style={{ background: mend.color }} /> {mend.words}
          <br />
          <span className="quiet">{mend.note}</span>
        </Button>
      ))}
      <Problem text={problem} />
    </>
  );
}

/** What a mend does to others, in words. */
export const reachOfMend = ({ mended, broken }: { mended: number; broken: number }) =>
  `${mended > 1 ? ` · mends ${mended}` : ''}${broken > 0 ? ` · breaks ${broken}` : ''}`;
