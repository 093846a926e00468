import { Button } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useActions, useEditing } from '../../app/editingContext';
import { Shortened } from '../../app/Shortened';
import { ValueCell } from '../../ledger/ValueCell';
import { TextField } from '../TextField';
import { useFonts } from './fonts';
import { Problem } from '../../app/Problem';
import { useSetAddress } from '../../app/address';

type StyleView = Schemas['TextStyleView'];
type Setting = Schemas['TextStyleSetting'];

const NAMES: Record<Setting, string> = {
  family: 'Family',
  size: 'Size',
  weight: 'Weight',
  lineHeight: 'Line height',
  letterSpacing: 'Letter spacing',
  case: 'Case',
  slant: 'Slant',
};

/** Settings that stand in the list; the others are seen when a style is chosen. */
const LISTED: readonly Setting[] = ['family', 'size', 'weight', 'lineHeight'];

/** The text styles; the chosen one can be changed. */
export function StylesPanel() {
  const type = useEditing((e) => e.site.type);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  useFonts(type.families);
  const chosen = type.styles.find((s) => s.id === params.get('style')) ?? type.styles[0];
  const choose = (id: string) => setAddress({ style: id });
  return (
    <>
      <table className="values text-styles" aria-label="Text styles">
        <thead>
          <tr>
            <th scope="col">Text style</th>
            {LISTED.map((setting) => (
              <th key={setting} scope="col">
                {setting === 'lineHeight' ? 'Line' : NAMES[setting]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {type.styles.map((style) => (
            <tr key={style.id} className={style.id === chosen?.id ? 'chosen' : ''}>
              <th scope="row">
                <button
                  type="button"
                  aria-pressed={style.id === chosen?.id}
                  title={style.name}
                  style={letters(style)}
                  onClick={() => choose(style.id)}
                >
                  <Shortened text={style.name} />
                </button>
              </th>
              {LISTED.map((setting) => {
                const value = valueOf(style, setting);
                return (
                  <td key={setting} title={value.text}>
                    {value.text} {value.note && <span className="quiet">{value.note}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {chosen && <StyleEditor key={chosen.id} style={chosen} words={type.words} onChosen={choose} />}
    </>
  );
}

function StyleEditor({ style, words, onChosen }: { style: StyleView; words: string; onChosen: (id: string) => void }) {
  const { make } = useActions();
  const [problem, setProblem] = useState<string | null>(null);
  const copy = async () => {
    const id = crypto.randomUUID();
    const wrong = await make({ kind: 'addTextStyle', style: id, name: `${style.name} copy`, like: style.id });
    setProblem(wrong);
    if (wrong === null) onChosen(id);
  };
  return (
    <section className="style-editor" aria-label={`Text style ${style.name}`}>
      <div className="subhead">
        <strong>{style.name}</strong>
        <span className="quiet" title={style.uses.join('\n')}>
          {style.isPageText ? 'the text of the page itself' : style.uses.length === 1 ? '1 use' : `${style.uses.length} uses`}
        </span>
      </div>
      <p className="own-words" style={letters(style)} title="Words of this site">
        {words}
      </p>
      <table className="values" aria-label={`Settings of ${style.name}`}>
        <tbody>
          {style.settings.map((value) => (
            <tr key={value.setting}>
              <th scope="row">{NAMES[value.setting]}</th>
              <td>
                <ValueCell
                  name={`${NAMES[value.setting]} of ${style.name}`}
                  text={value.text}
                  inherited=""
                  names={value.names}
                  edit={(text) => ({ kind: 'setTextStyle', style: style.id, setting: value.setting, text: text ?? '' })}
                  note={value.setting === 'size' && value.note ? `${value.note} px` : value.note}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="acts">
        <TextField label="Name" value={style.name} makes={(name) => ({ kind: 'renameTextStyle', style: style.id, name })} />
        <Button size="small" onClick={() => void copy()}>
          Add one like it
        </Button>
        <Button
          size="small"
          disabled={style.isPageText || style.uses.length > 0}
          onClick={() => void make({ kind: 'removeTextStyle', style: style.id }).then(setProblem)}
          aria-label={`Remove ${style.name}`}
        >
          Remove
        </Button>
      </div>
      <Problem text={problem} />
    </section>
  );
}

const valueOf = (style: StyleView, setting: Setting) => style.settings.find((s) => s.setting === setting) as Schemas['TextSettingView'];

/** The style's own letters; its size is left out, so that a list stays a list. */
const letters = ({ css }: StyleView) => ({
  fontFamily: css.fontFamily,
  fontWeight: css.fontWeight,
  fontStyle: css.isItalic ? 'italic' : 'normal',
  textTransform: css.textTransform as 'none',
  letterSpacing: css.letterSpacing,
});
