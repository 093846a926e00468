import { Segmented, Select } from 'antd';
import { useEditing } from '../app/editingContext';
import { FORCED, useStageView, WIDTHS, type Forced } from './view';

const STATE_NAMES: Record<Forced, string> = { rest: 'Rest', hover: 'Hover', focus: 'Focus', pressed: 'Pressed' };

/** What the stage shows: page, width, size, state. */
export function StageBar({ page }: { page: string }) {
  const pages = useEditing((e) => e.site.pages);
  const [view, change] = useStageView();
  return (
    <div className="bar stage-bar" role="toolbar" aria-label="Stage">
      <Select
        aria-label="Page on stage"
        value={page}
        options={pages.map((p) => ({ value: p.id, label: p.name }))}
        onChange={(id: string) => change({ page: id })}
        popupMatchSelectWidth={false}
        className="page-choice"
      />
      <Segmented
        aria-label="Width of the stage"
        value={view.width}
        options={WIDTHS.map((w) => ({ value: w.width, label: String(w.width), title: `${w.width} × ${w.height}` }))}
        onChange={(width) => change({ width: Number(width) })}
      />
      <Segmented
        aria-label="Size of the stage"
        value={view.fit ? 'fit' : '100'}
        options={[
          { value: 'fit', label: 'Fit' },
          { value: '100', label: '100 %' },
        ]}
        onChange={(scale) => change({ fit: scale === 'fit' })}
      />
      <Select
        aria-label="Show as"
        value={view.show}
        options={FORCED.map((state) => ({ value: state, label: `Show as: ${STATE_NAMES[state]}` }))}
        onChange={(show: Forced) => change({ show })}
        className="show-as"
      />
    </div>
  );
}
