import { Button, Input, Modal } from 'antd';
import { useEffect, useState } from 'react';
import { partOf } from '../site/catalogue';
import { useActions, useEditing, useEditingStore } from '../site/editingContext';
import { blockOf } from '../site/outline';
import type { PictureSpot, PostSpot } from '../site/requests';
import { Problem } from '../ui/Problem';
import './usePictures.css';

/** The slot that says a block's picture in words. */
const ALT = 'alt';

/** Kinds of pictures a browser may be given to choose. */
export const PICTURES = 'image/png,image/jpeg,image/webp,image/avif,image/svg+xml';

/** Shows pictures in blocks, and asks for their words where there are none yet. */
export function usePictures() {
  const { addPicture } = useActions();
  const store = useEditingStore();
  // Those that are asked about, one after the other.
  const [asked, setAsked] = useState<readonly string[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  /** Asks for the words of a block's picture, where it has none. */
  const ask = (id: string) => {
    const { site, catalogue } = store.getState();
    const block = blockOf(site, id);
    const hasWords = partOf(catalogue, block?.part ?? '')?.slots.some((s) => s.id === ALT);
    if (block && hasWords && !block.content[ALT]) setAsked((before) => [...before, id]);
  };
  return {
    /** The name of the file that is being read. */
    reading,
    /** A file from elsewhere; resolves to what is wrong with it. */
    add: async (file: File, spot: PictureSpot | PostSpot, saidAtItsPlace = false): Promise<string | null> => {
      setReading(file.name);
      const wrong = await addPicture(file, spot, { saidAtItsPlace });
      setReading(null);
      if (wrong === null && 'block' in spot) ask(spot.block);
      return wrong;
    },
    ask,
    asking: asked[0] !== undefined && <WordsOfPicture key={asked[0]} id={asked[0]} onDone={() => setAsked((before) => before.slice(1))} />,
  };
}

/** Asks what a picture shows. */
function WordsOfPicture({ id, onDone }: { id: string; onDone: () => void }) {
  const { make } = useActions();
  const block = useEditing((e) => blockOf(e.site, id));
  const slot = useEditing((e) => partOf(e.catalogue, block?.part ?? '')?.slots.find((s) => s.kind === 'picture')?.id);
  const picture = useEditing((e) => e.site.pictures.find((p) => p.id === block?.content[slot ?? '']));
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const isGone = !picture;
  // It went while it was asked about, in another window: the next is asked about.
  useEffect(() => {
    if (isGone) onDone();
  });
  if (!picture) return null;
  const keep = async () => {
    const wrong =
      words.trim() === '' ? null : await make({ kind: 'setContent', block: id, slot: ALT, text: words }, { saidAtItsPlace: true });
    if (wrong === null) onDone();
    setProblem(wrong);
  };
  return (
    <Modal
      open
      width={520}
      title="What does the picture show?"
      onCancel={onDone}
      footer={[
        <Button key="none" onClick={onDone}>
          It only decorates
        </Button>,
        <Button key="keep" type="primary" onClick={() => void keep()}>
          Keep
        </Button>,
      ]}
    >
      <img className="picture-asked" src={picture.address} alt="" />
      <Input
        aria-label={`${picture.name} in words`}
        aria-describedby="picture-words"
        value={words}
        maxLength={2000}
        status={problem ? 'error' : ''}
        // It was opened to be filled in.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onChange={(event) => setWords(event.target.value)}
        onPressEnter={() => void keep()}
      />
      <p id="picture-words" className="quiet">
        Read out to those who do not see it. A picture that only decorates has no words, and is passed over.
      </p>
      <Problem text={problem} />
    </Modal>
  );
}
