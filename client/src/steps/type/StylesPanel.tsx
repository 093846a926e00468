import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas, ThingView } from '../../api/client';
import { kindOf, thingsOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { useFocusNext } from '../../site/useFocusNext';
import { ThingEditor } from '../../things/ThingEditor';
import { CHOSEN, EDITOR } from '../../things/focus';
import { Shortened } from '../../ui/Shortened';
import { useFonts } from '../../ui/fonts';
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
  const kind = useEditing((e) => kindOf(e.catalogue, 'textStyle'));
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  useFonts(type.families);
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
      <div className="rows-above-editor">
        <table className="values text-styles" aria-label="Text styles">
          <thead>
            <tr>
              <th scope="col">Text style</th>
              {LISTED.map((id) => (
                <th key={id} scope="col">
                  {id === 'line-height' ? 'Line' : kind?.fields.find((s) => s.id === id)?.name}
                </th>
              ))}
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
                {LISTED.map((id) => {
                  const value = style.thing.fields.find((f) => f.id === id);
                  return (
                    <td key={id} title={value?.text}>
                      {value?.text} {value?.note && <span className="quiet">{value.note.replace(/px$/, '')}</span>}
                    </td>
                  );
                })}
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
          <p className="own-words" style={letters(chosen)} title="Words of this site">
            {type.words}
          </p>
        </ThingEditor>
      )}
    </div>
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
  };
