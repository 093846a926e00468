import { Button, Segmented } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas, ThingView } from '../../api/client';
import { kindOf, thingsOf } from '../../site/catalogue';
import { useCandidates } from '../../site/candidates';
import { useEditing } from '../../site/editingContext';
import { useTypeFigures } from '../../site/figures';
import { useFocusNext } from '../../site/useFocusNext';
import { asItIs, styleIn } from '../../stage/useOtherCandidates';
import { ThingEditor } from '../../things/ThingEditor';
import { ThingField } from '../../things/ThingField';
import { CHOSEN, EDITOR } from '../../things/focus';
import { Shortened } from '../../ui/Shortened';
import { useFonts } from '../../ui/fonts';
import { useSetAddress } from '../../site/address';
import { AxisSliders } from './AxisSliders';
import { StyleFindings } from './StyleFindings';
import { linesText } from './figuresText';
import './StylesPanel.css';

/** The settings the table shows at once, by what they are about. */
const COLUMNS = [
  { value: 'letters', label: 'Letters', fields: ['family', 'size', 'weight', 'line-height'] },
  { value: 'spacing', label: 'Spacing', fields: ['letter-spacing', 'word-spacing', 'measure'] },
  { value: 'case', label: 'Case', fields: ['slant', 'case', 'small-caps'] },
  { value: 'line', label: 'Line', fields: ['line', 'line-style', 'line-thickness', 'line-offset', 'line-color'] },
  { value: 'numerals', label: 'Numerals', fields: ['numerals', 'numeral-widths', 'fractions', 'ligatures'] },
  { value: 'wrapping', label: 'Wrapping', fields: ['hyphens', 'wrapping', 'axes'] },
] as const;

const SHORT: Partial<Record<string, string>> = {
  'line-height': 'Line',
  'numeral-widths': 'Widths',
  'line-thickness': 'Thickness',
  'line-offset': 'Offset',
  'line-color': 'Colour',
  'line-style': 'Style',
};

interface Style {
  thing: ThingView;
  letters: Schemas['TextStyleView'] | undefined;
}

/** The text styles, each setting edited in place; the chosen one has all of them below. */
export function StylesPanel() {
  const type = useEditing((e) => e.site.type);
  const things = useEditing((e) => thingsOf(e.site, 'textStyle'));
  const kind = useEditing((e) => kindOf(e.catalogue, 'textStyle'));
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  useFonts(type.families);
  const figures = useTypeFigures().data?.styles;
  const [columns, setColumns] = useState<(typeof COLUMNS)[number]['value']>('letters');
  const shown = COLUMNS.find((c) => c.value === columns) ?? COLUMNS[0];
  const styles = things.map((thing): Style => ({ thing, letters: type.styles.find((s) => s.id === thing.id) }));
  const chosen = styles.find((s) => s.thing.id === params.get('style')) ?? styles[0];
  const choose = (id: string) => setAddress({ style: id });
  const row = useRef<HTMLTableRowElement>(null);
  const chosenId = chosen?.thing.id;
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(chosenId);
  // Chosen elsewhere, or added far down a long list, it comes into sight.
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosenId]);
  return (
    <div ref={panel} className="panel-column">
      <div className="columns-choice">
        <Segmented
          size="small"
          aria-label="Settings in the table"
          value={columns}
          options={COLUMNS.map(({ value, label }) => ({ value, label }))}
          onChange={setColumns}
        />
      </div>
      <div className="rows-above-editor">
        <table className={`values text-styles ${columns}`} aria-label="Text styles">
          <thead>
            <tr>
              <th scope="col">Text style</th>
              {shown.fields.map((id) => (
                <th key={id} scope="col">
                  {SHORT[id] ?? kind?.fields.find((s) => s.id === id)?.name}
                </th>
              ))}
              {columns === 'letters' && (
                <th scope="col" title="Characters a line, at each width that was measured">
                  Characters
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {styles.map((style) => (
              <tr
                key={style.thing.id}
                ref={style.thing.id === chosenId ? row : null}
                className={style.thing.id === chosen?.thing.id ? 'chosen' : ''}
              >
                <th scope="row">
                  <button
                    type="button"
                    aria-pressed={style.thing.id === chosen?.thing.id}
                    title={style.thing.name}
                    style={letters(style)}
                    onClick={() => choose(style.thing.id)}
                  >
                    <Shortened text={style.thing.name} />
                  </button>
                </th>
                {shown.fields.map((id) => {
                  const value = style.thing.fields.find((f) => f.id === id);
                  const setting = kind?.fields.find((f) => f.id === id);
                  return (
                    <td key={id} title={value && [value.text, value.note].filter(Boolean).join(' · ')}>
                      {value && setting && (
                        <ThingField kind="textStyle" thing={style.thing} setting={setting} value={value} noted={id === 'size'} />
                      )}
                    </td>
                  );
                })}
                {columns === 'letters' && <LineCell figures={figures?.find((f) => f.style === style.thing.id)} />}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {kind && chosen && (
        <ThingEditor
          key={chosen.thing.id}
          kind={kind}
          thing={chosen.thing}
          others={things}
          onCopied={(id) => {
            focusNext(EDITOR);
            choose(id);
          }}
          onRemoved={(by) => {
            focusNext(CHOSEN);
            choose(by ?? '');
          }}
        >
          <div className="style-sample">
            <p className="own-words" style={letters(chosen)} title="Words of this site">
              {type.words}
            </p>
            <BesideButton style={chosen.thing} />
          </div>
          <StyleFindings figures={figures?.find((f) => f.style === chosen.thing.id)} />
          <AxisSliders style={chosen.thing} />
        </ThingEditor>
      )}
    </div>
  );
}

/** How many characters a line has; red where that is too many. */
function LineCell({ figures }: { figures: Schemas['StyleFigures'] | undefined }) {
  const concerns = figures?.findings.length ?? 0;
  return (
    <td
      className={concerns > 0 ? 'fail' : ''}
      title={[figures ? linesText(figures) : '', ...(figures?.findings.map((f) => f.says) ?? [])].join('\n')}
    >
      {figures === undefined || figures.lines.length === 0 ? '–' : figures.lines.map((l) => l.characters).join(' · ')}
      {concerns > 0 && <span className="concerns"> {concerns === 1 ? '1 note' : `${concerns} notes`}</span>}
    </td>
  );
}

function BesideButton({ style }: { style: ThingView }) {
  const families = useEditing((e) => e.site.type.families);
  const compare = useCandidates((c) => c.compare);
  const now = style.fields.find((f) => f.id === 'family')?.text;
  const other = families.find((f) => f.name !== now);
  return (
    <Button
      size="small"
      title={`${style.name} in two families, side by side on the page`}
      onClick={() => compare({ of: 'textStyle', id: style.id, pair: [asItIs(now), other ? styleIn(style.id, other.name) : asItIs(now)] })}
    >
      Side by side
    </Button>
  );
}

/** The style's own letters; its size is left out, so that a list stays a list. */
const letters = ({ letters: css }: Style) =>
  css && {
    fontFamily: css.fontFamily,
    fontWeight: css.fontWeight,
    fontStyle: css.isItalic ? 'italic' : 'normal',
    textTransform: css.textTransform as 'none',
    letterSpacing: css.letterSpacing,
    fontVariant: css.forms,
    fontVariationSettings: css.axes,
  };
