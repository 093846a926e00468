import { Button } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas, SettingView, ThingView } from '../../api/client';
import { kindOf, namesIn, thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { Shortened } from '../../ui/Shortened';
import { ValueCell } from '../../values/ValueCell';
import { TextField } from '../../values/TextField';
import { useFonts } from '../../ui/fonts';
import { Problem } from '../../ui/Problem';
import { useSetAddress } from '../../site/address';
import './StylesPanel.css';

/** Settings that stand in the list; the others are seen when a style is chosen. */
const LISTED = ['family', 'size', 'weight', 'line-height'];

interface Style {
  thing: ThingView;
  letters: Schemas['TextStyleView'] | undefined;
}

/** The text styles; the chosen one can be changed. */
export function StylesPanel() {
  const type = useEditing((e) => e.site.type);
  const things = useEditing((e) => thingsOf(e.site, 'textStyle'));
  const settings = useEditing((e) => kindOf(e.catalogue, 'textStyle')?.fields) ?? NONE;
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  useFonts(type.families);
  const styles = things.map((thing): Style => ({ thing, letters: type.styles.find((s) => s.id === thing.id) }));
  const chosen = styles.find((s) => s.thing.id === params.get('style')) ?? styles[0];
  const choose = (id: string) => setAddress({ style: id });
  return (
    <>
      <table className="values text-styles" aria-label="Text styles">
        <thead>
          <tr>
            <th scope="col">Text style</th>
            {LISTED.map((id) => (
              <th key={id} scope="col">
                {id === 'line-height' ? 'Line' : settings.find((s) => s.id === id)?.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {styles.map((style) => (
            <tr key={style.thing.id} className={style.thing.id === chosen?.thing.id ? 'chosen' : ''}>
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
              {LISTED.map((id) => {
                const value = style.thing.fields.find((f) => f.id === id);
                return (
                  <td key={id} title={value?.text}>
                    {value?.text} {value?.note && <span className="quiet">{value.note}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {chosen && <StyleEditor key={chosen.thing.id} style={chosen} settings={settings} words={type.words} onChosen={choose} />}
    </>
  );
}

interface EditorProps {
  style: Style;
  settings: readonly SettingView[];
  words: string;
  onChosen: (id: string) => void;
}

function StyleEditor({ style, settings, words, onChosen }: EditorProps) {
  const { make } = useActions();
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const { id, name, uses, stays } = style.thing;
  const copy = async () => {
    const copied = crypto.randomUUID();
    const wrong = await make({ kind: 'addThing', of: 'textStyle', id: copied, name: `${name} copy`, like: id, values: null, in: null });
    setProblem(wrong);
    if (wrong === null) onChosen(copied);
  };
  return (
    <section className="style-editor" aria-label={`Text style ${name}`}>
      <div className="subhead">
        <strong>{name}</strong>
        <span className="quiet" title={uses.join('\n')}>
          {stays !== null ? 'the text of the page itself' : uses.length === 1 ? '1 use' : `${uses.length} uses`}
        </span>
      </div>
      <p className="own-words" style={letters(style)} title="Words of this site">
        {words}
      </p>
      <table className="values" aria-label={`Settings of ${name}`}>
        <tbody>
          {settings.map((setting) => {
            const value = style.thing.fields.find((f) => f.id === setting.id);
            if (!value) return null;
            return (
              <tr key={setting.id}>
                <th scope="row">{setting.name}</th>
                <td>
                  <ValueCell
                    name={`${setting.name} of ${name}`}
                    text={value.text}
                    inherited=""
                    names={value.names ?? namesIn(names, setting)}
                    edit={(text) => ({ kind: 'setThing', of: 'textStyle', id, field: setting.id, text: text ?? '', in: null })}
                    note={setting.id === 'size' && value.note ? `${value.note} px` : value.note}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="acts">
        <TextField label="Name" value={name} edit={(next) => ({ kind: 'renameThing', of: 'textStyle', id, name: next })} />
        <Button size="small" onClick={() => void copy()}>
          Add one like it
        </Button>
        <Button
          size="small"
          disabled={stays !== null || uses.length > 0}
          onClick={() => void make({ kind: 'removeThing', of: 'textStyle', id, by: null, in: null }).then(setProblem)}
          aria-label={`Remove ${name}`}
        >
          Remove
        </Button>
      </div>
      <Problem text={problem} />
    </section>
  );
}

const NONE: readonly SettingView[] = [];

/** The style's own letters; its size is left out, so that a list stays a list. */
const letters = ({ letters: css }: Style) =>
  css && {
    fontFamily: css.fontFamily,
    fontWeight: css.fontWeight,
    fontStyle: css.isItalic ? 'italic' : 'normal',
    textTransform: css.textTransform as 'none',
    letterSpacing: css.letterSpacing,
  };
