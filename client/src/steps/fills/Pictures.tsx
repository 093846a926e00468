import { useMemo, useState, type DragEvent } from 'react';
import type { ThingView } from '../../api/client';
import type { Editing } from '../../site/editing';
import { useActions, useEditing, useEditingLater } from '../../site/editingContext';
import { ThingsPanel } from '../../things/ThingsPanel';
import { FileButton } from '../../ui/FileButton';
import { Problem } from '../../ui/Problem';
import { PICTURES } from '../../values/usePictures';
import { Crops } from './Crops';
import { FocusBox } from './FocusBox';
import { IconShelfButton } from './IconShelf';
import { amount } from './stops';

const KINDS = 'PNG, JPEG, WebP, AVIF or SVG';

/** The pictures of the shelf: added as files or by dropping them here, each with its words, the point kept in sight, and its uses. */
export function Pictures() {
  const { addPicture } = useActions();
  const [reading, setReading] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (files: readonly File[]) => {
    for (const file of files) {
      setReading(file.name);
      const wrong = await addPicture(file, null, { saidAtItsPlace: true });
      setProblem(wrong && `${file.name}: ${wrong}`);
      if (wrong !== null) break;
    }
    setReading(null);
  };
  const onDrop = (event: DragEvent) => {
    const files = [...event.dataTransfer.files];
    if (files.length === 0) return;
    event.preventDefault();
    event.stopPropagation();
    void add(files);
  };
  return (
    // Dropping is one more way: the button beside the list does the same.
    <div className="panel-column pictures" role="presentation" onDragOver={(event) => event.preventDefault()} onDrop={onDrop}>
      <ThingsPanel
        kind="picture"
        row={(thing) => <PictureRow thing={thing} />}
        drawn={(thing) => <PictureDrawing key={thing.id} thing={thing} />}
        adds={
          <>
            <FileButton label="Add pictures" kinds={KINDS} accept={PICTURES} busy={reading !== null} onFiles={(files) => void add(files)} />
            <IconShelfButton />
            <span className="quiet">{reading ?? 'or drop them here'}</span>
            <Problem text={problem} />
          </>
        }
      />
    </div>
  );
}

const triedPictures = (editing: Editing) => editing.trial?.pictures;

/** A picture as it is tried, once the stage has followed; else as it is stored. */
function usePicture(id: string) {
  const stored = useEditing((e) => e.site.pictures.find((p) => p.id === id));
  return useEditingLater(triedPictures)?.find((p) => p.id === id) ?? stored;
}

function PictureRow({ thing }: { thing: ThingView }) {
  const picture = usePicture(thing.id);
  if (!picture) return null;
  return (
    <span className="gradient-row">
      <img className="picture-thumb" src={picture.address} alt="" loading="lazy" />
      <span className="gradient-kind">
        {picture.width} × {picture.height}
      </span>
    </span>
  );
}

/** A picture large, with the point kept in sight, and another file in its place. */
function PictureDrawing({ thing }: { thing: ThingView }) {
  const { replacePicture } = useActions();
  const picture = usePicture(thing.id);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  // Where blocks show it, and where backgrounds do that leave the point to the shelf.
  const backgrounds = useEditing((e) => e.site.fills.backgrounds);
  const classes = useMemo(
    () => [picture?.class ?? '', ...backgrounds.filter((b) => b.layers.some((l) => l.placed === thing.id)).map((b) => b.class)],
    [picture?.class, backgrounds, thing.id],
  );
  if (!picture) return null;
  const replace = async (file: File) => {
    setBusy(true);
    setProblem(await replacePicture(file, thing.id));
    setBusy(false);
  };
  return (
    <div className="drawing picture-drawing">
      <FocusBox
        name={thing.name}
        picture={picture}
        stored={{ x: amount(thing, 'focus-x'), y: amount(thing, 'focus-y') }}
        edit={(field, share) => ({ kind: 'setThing', of: 'picture', id: thing.id, field, text: `${share}%`, in: null })}
      />
      <div className="picture-figures">
        <span>
          {picture.width} × {picture.height} px
        </span>
        <span className="quiet">{picture.file}</span>
        <FileButton
          label="Replace everywhere"
          kinds={KINDS}
          accept={PICTURES}
          busy={busy}
          one
          onFiles={([file]) => void (file && replace(file))}
        />
        <Problem text={problem} />
      </div>
      <Crops name={thing.name} classes={classes} html={picture.html} />
    </div>
  );
}
