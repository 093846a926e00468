import { Button, Input } from 'antd';
import { useState, type FormEvent } from 'react';
import type { ThingView } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { ThingsPanel } from '../../things/ThingsPanel';
import { FileButton } from '../../ui/FileButton';
import { Problem } from '../../ui/Problem';

/** Kinds of clips a browser may be given to choose. */
const CLIPS = 'video/webm,video/mp4';

/** The clips of the shelf: added as files, or by the address of one that is elsewhere. */
export function Clips() {
  const { addClip } = useActions();
  const [reading, setReading] = useState(false);
  const [address, setAddress] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (clip: File | { name: string; address: string }) => {
    setReading(true);
    const wrong = await addClip(clip);
    setReading(false);
    setProblem(wrong);
    return wrong;
  };
  const addOutside = async (event: FormEvent) => {
    event.preventDefault();
    const typed = address.trim();
    if (typed !== '' && (await add({ name: nameOf(typed), address: typed })) === null) setAddress('');
  };
  return (
    <ThingsPanel
      kind="clip"
      row={(thing) => <ClipRow thing={thing} />}
      drawn={(thing) => <ClipDrawing key={thing.id} thing={thing} />}
      adds={
        <div className="clip-adds">
          <FileButton
            label="Add a clip"
            kinds="WebM or MP4"
            accept={CLIPS}
            busy={reading}
            one
            onFiles={([file]) => void (file && add(file))}
          />
          <form onSubmit={(event) => void addOutside(event)}>
            <Input
              size="small"
              aria-label="Address of a clip that is elsewhere"
              placeholder="or https:// where it is"
              value={address}
              maxLength={2000}
              onChange={(event) => setAddress(event.target.value)}
            />
            <Button size="small" htmlType="submit" disabled={reading || address.trim() === ''}>
              Add
            </Button>
          </form>
          <Problem text={problem} />
        </div>
      }
    />
  );
}

/** What a file at an address is called. */
function nameOf(address: string): string {
  const file = address.split(/[?#]/)[0]?.split('/').at(-1) ?? '';
  return file === '' ? 'clip' : file.slice(0, 100);
}

const useClip = (id: string) => useEditing((e) => e.site.clips.find((c) => c.id === id));

function ClipRow({ thing }: { thing: ThingView }) {
  const clip = useClip(thing.id);
  return clip ? (
    <span>
      {clip.width} × {clip.height}
      {clip.isOutside && ' · elsewhere'}
    </span>
  ) : null;
}

/** A clip that can be looked at, and where it is. */
function ClipDrawing({ thing }: { thing: ThingView }) {
  const clip = useClip(thing.id);
  if (!clip) return null;
  return (
    <div className="drawing picture-drawing">
      {/* Without sound: what is heard on pages is heard there. */}
      <video className="clip-shown" src={clip.address} controls muted playsInline preload="metadata" aria-label={thing.name} />
      <div className="picture-figures">
        <span>
          {clip.width} × {clip.height} px
        </span>
        <span className="quiet">{clip.file}</span>
        {clip.isOutside && (
          <span className="quiet">What plays here stands in for it: nothing is asked for outside. The release names its address.</span>
        )}
      </div>
    </div>
  );
}
