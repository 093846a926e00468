import { Button } from 'antd';
import { useState, type DragEvent } from 'react';
import { useSearchParams } from 'react-router';
import type { ThingView } from '../../api/client';
import { useSetAddress } from '../../site/address';
import { kindOf, thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useFocusNext } from '../../site/useFocusNext';
import { AddThing } from '../../things/AddThing';
import { ThingEditor } from '../../things/ThingEditor';
import { ADD, CHOSEN, EDITOR } from '../../things/focus';
import { Problem } from '../../ui/Problem';
import { Shortened } from '../../ui/Shortened';
import { useFonts } from '../../ui/fonts';
import { usesText } from '../../ui/words';
import { FamilyFiles } from './FamilyFiles';
import { FontButton } from './FontButton';
import { Shelf } from './Shelf';
import './FamiliesPanel.css';

/** Stands in the address for a family that is being added. */
const NEW = 'new';

/** The site's families, the shelf they come from, and files of the designer's own. */
export function FamiliesPanel() {
  const families = useEditing((e) => e.site.type.families);
  const things = useEditing((e) => thingsOf(e.site, 'family'));
  const kind = useEditing((e) => kindOf(e.catalogue, 'family'));
  const words = useEditing((e) => e.site.type.words);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  useFonts(families);
  const adding = params.get('family') === NEW;
  const chosen = things.find((t) => t.id === params.get('family'));
  const choose = (id: string) => setAddress({ family: id });
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? NEW : chosen?.id);
  const files = useFontFiles(choose);
  const family = families.find((f) => f.id === chosen?.id);
  return (
    <div ref={panel} className={files.over ? 'panel-column dropping' : 'panel-column'} {...files.drop}>
      {/* Long lists scroll, and are reached by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="rows-above-editor" tabIndex={0} role="group" aria-label="Families">
        <div className="subhead">
          <strong>In this site</strong>
          <span className="spring" />
          <Button
            size="small"
            disabled={adding}
            onClick={() => choose(NEW)}
            title="A family of fonts that devices bring along, without files"
          >
            Add a list
          </Button>
          <FontButton label="Add font files" busy={files.reading} onFiles={(list) => void files.add(list)} />
        </div>
        <div className="files-problem">
          <Problem text={files.problem} />
        </div>
        <ul className="family-rows own chosen-list" aria-label="Families of this site">
          {families.map((own) => (
            <li key={own.id}>
              <button
                type="button"
                className="row-button family-row"
                aria-pressed={own.id === chosen?.id}
                onClick={() => choose(own.id === chosen?.id ? '' : own.id)}
              >
                <span className="own-words" style={{ fontFamily: own.stack }}>
                  {words}
                </span>
                <strong title={own.stack}>
                  <Shortened text={own.name} />
                </strong>
                <span className="quiet">
                  {[own.class, own.weights || 'no files', own.hasItalics && 'italic'].filter(Boolean).join(' · ')}
                </span>
                <span className="uses">{usesText(usesOf(things, own.id))}</span>
              </button>
            </li>
          ))}
        </ul>
        <Shelf families={families} />
      </div>
      {kind && adding && (
        <AddThing
          kind={kind}
          onDone={(id) => {
            focusNext(EDITOR);
            choose(id);
          }}
          onCancel={() => {
            focusNext(ADD);
            choose('');
          }}
        />
      )}
      {kind && chosen && family && (
        <ThingEditor
          key={chosen.id}
          kind={{ ...kind, fields: kind.fields.filter((f) => f.id !== 'letters') }}
          thing={chosen}
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
          <FamilyFiles family={family} onFiles={(list, replaces) => void files.add(list, family.id, replaces)} busy={files.reading} />
        </ThingEditor>
      )}
    </div>
  );
}

const usesOf = (things: readonly ThingView[], id: string): readonly string[] => things.find((t) => t.id === id)?.uses ?? [];

/** Font files that are dropped or chosen: read one after the other, each an edit of its own; what is wrong with one is said, and the others come. */
function useFontFiles(choose: (family: string) => void) {
  const { addFont } = useActions();
  const [problem, setProblem] = useState<string | null>(null);
  const [reading, setReading] = useState(false);
  const [over, setOver] = useState(false);
  const add = async (files: readonly File[], family: string | null = null, replaces: string | null = null) => {
    setReading(true);
    setProblem(null);
    const wrong: string[] = [];
    for (const file of files) {
      const added = await addFont(file, family, replaces);
      if ('wrong' in added) wrong.push(files.length === 1 ? added.wrong : `${file.name}: ${added.wrong}`);
      else choose(added.family);
    }
    setReading(false);
    setProblem(wrong.length === 0 ? null : wrong.join(' '));
  };
  const hasFiles = (event: DragEvent) => event.dataTransfer.types.includes('Files');
  return {
    add,
    problem,
    reading,
    over,
    drop: {
      onDragOver: (event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(false);
        void add([...event.dataTransfer.files]);
      },
    },
  };
}
