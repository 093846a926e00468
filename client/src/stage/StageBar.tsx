import { Button, Segmented, Select, Tooltip } from 'antd';
import type { State } from '../api/client';
import { useEditing } from '../site/editingContext';
import { STATE_NAMES } from '../ledger/cells';
import { MenuButton } from '../ui/MenuButton';
import { usePlay } from './play';
import { useReference } from './reference';
import {
  PREFERENCES,
  SEVERITIES,
  SPANS,
  SPECIMEN,
  STATES,
  useStageView,
  viewportOf,
  VISIONS,
  WIDTHS,
  type Preference,
  type Severity,
  type Vision,
} from './view';
import './StageBar.css';

const PREFERENCE_NAMES: Record<Preference, string> = { light: 'Prefers light', dark: 'Prefers dark' };
const VISION_NAMES: Record<Vision, string> = {
  full: 'All colours seen',
  protanopia: 'Protanopia',
  deuteranopia: 'Deuteranopia',
  tritanopia: 'Tritanopia',
};

/** What the stage shows: page, width, size, and as whom. */
export function StageBar({ page }: { page: string }) {
  const pages = useEditing((e) => e.site.pages);
  const [view, change] = useStageView();
  // A width between the devices is listed while it is shown.
  const here = viewportOf(view.width);
  const shown = here && !WIDTHS.includes(here) ? [...WIDTHS, here].sort((a, b) => a.width - b.width) : WIDTHS;
  return (
    <div className="bar stage-bar" role="group" aria-label="What the stage shows">
      <Select
        aria-label="Page on stage"
        value={page}
        options={[...pages, SPECIMEN].map((p) => ({ value: p.id, label: p.name }))}
        onChange={(id: string) => change({ page: id })}
        popupMatchSelectWidth={false}
        className="page-choice"
      />
      <Segmented
        aria-label="What the stage shows at once"
        value={view.span === 'one' ? String(view.width) : view.span}
        options={[
          ...shown.map((w) => ({ value: String(w.width), label: String(w.width), title: `${w.width} × ${w.height}` })),
          { value: 'widths', label: 'Every width' },
          // There is room for one of the two: schemes are compared from where they are made.
          view.span === 'schemes' ? { value: 'schemes', label: 'Two schemes' } : { value: 'pages', label: 'Every page' },
        ]}
        onChange={(value) => {
          const span = SPANS.find((s) => s === value);
          change(span ? { span } : { span: 'one', width: Number(value) });
        }}
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
      <ShowAs />
      <Play />
      <Tooltip title={view.whole ? 'Back to the panel (W or Escape)' : 'The stage alone (W)'} trigger={['hover', 'focus']}>
        <Button
          aria-label="The stage alone"
          aria-pressed={view.whole}
          className="whole"
          onClick={() => change({ whole: !view.whole })}
          icon={
            <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
              <path d="M2 6V2h4M10 2h4v4M14 10v4h-4M6 14H2v-4" fill="none" stroke="currentColor" strokeWidth="1.6" />
            </svg>
          }
        />
      </Tooltip>
    </div>
  );
}

/** Plays how blocks come in, once, and lets changes of state take their time until something is edited. */
function Play() {
  const [playing, play, stop] = [usePlay((p) => p.playing), usePlay((p) => p.play), usePlay((p) => p.stop)];
  return (
    <Tooltip
      title={playing ? 'Motion is played: again, or stop with an edit' : 'Play how blocks come in and states change'}
      trigger={['hover', 'focus']}
    >
      <Button
        aria-label="Play motion"
        aria-pressed={playing}
        className="play"
        onClick={play}
        onKeyDown={(event) => {
          if (event.key === 'Escape') stop();
        }}
        icon={
          <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
            <path d="M4 2.5 13 8 4 13.5z" fill="none" stroke="currentColor" strokeWidth="1.6" strokeLinejoin="round" />
          </svg>
        }
      />
    </Tooltip>
  );
}

/** State, the visitor's preference and vision in one menu; what is not usual stands on its button. */
function ShowAs() {
  const [view, change] = useStageView();
  const active = [
    view.show !== 'rest' && STATE_NAMES[view.show],
    view.prefers === 'dark' && 'dark',
    view.reference && 'reference',
    view.vision !== 'full' && `${VISION_NAMES[view.vision]}${view.severity === '100' ? '' : ` ${view.severity} %`}`,
  ].filter(Boolean);
  return (
    <MenuButton
      className="show-as"
      title={active.join(' · ')}
      menu={{
        selectable: true,
        multiple: true,
        selectedKeys: [
          `show ${view.show}`,
          `prefers ${view.prefers}`,
          `vision ${view.vision}`,
          `severity ${view.severity}`,
          ...(view.reference ? ['reference'] : []),
        ],
        onClick: ({ key }) => {
          const [what, value] = key.split(' ');
          if (what === 'reference') {
            if (view.reference) useReference.getState().end();
            change({ reference: !view.reference });
          } else if (what === 'show') change({ show: value as State });
          else if (what === 'prefers') change({ prefers: value as Preference });
          else if (what === 'vision') change({ vision: value as Vision });
          else change({ severity: value as Severity });
        },
        items: [
          { type: 'group', label: 'State', children: STATES.map((s) => choice(`show ${s}`, STATE_NAMES[s], view.show === s)) },
          {
            type: 'group',
            label: 'Visitor',
            children: PREFERENCES.map((p) => choice(`prefers ${p}`, PREFERENCE_NAMES[p], view.prefers === p)),
          },
          {
            type: 'group',
            label: 'Mock-up',
            children: [{ key: 'reference', label: 'Reference picture', role: 'menuitemcheckbox', 'aria-checked': view.reference }],
          },
          { type: 'group', label: 'Vision', children: VISIONS.map((v) => choice(`vision ${v}`, VISION_NAMES[v], view.vision === v)) },
          ...(view.vision === 'full'
            ? []
            : [
                {
                  type: 'group' as const,
                  label: 'How much of it',
                  children: SEVERITIES.map((s) => choice(`severity ${s}`, `${s} %`, view.severity === s)),
                },
              ]),
        ],
      }}
    >
      {active.length === 0 ? 'Show as' : `Show as: ${active.join(' · ')}`}
    </MenuButton>
  );
}

/** An item of which one in its group is chosen, and says so (ARIA menu pattern). */
const choice = (key: string, label: string, chosen: boolean) => ({ key, label, role: 'menuitemradio', 'aria-checked': chosen });
