import { useMutation } from '@tanstack/react-query';
import { Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { answered, api, bytesOf, RequestFailed, type Schemas } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { onEscape } from '../../ui/keys';
import { FoundForm, type FoundProps } from './FoundForm';

interface Shown {
  file: File;
  /** An address for it, for as long as it is looked at. */
  url: string;
}

const BYTES = { headers: { 'Content-Type': 'application/octet-stream' } };

/** Colours out of a picture: those it is made of, and those of the points that are pressed. The picture stands beside them. */
export function PictureColors({ onDone, onCancel }: FoundProps) {
  const slug = useEditing((e) => e.site.slug);
  const pictures = useEditing((e) => e.site.pictures);
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => () => URL.revokeObjectURL(shown?.url ?? ''), [shown]);
  const [points, setPoints] = useState<readonly Schemas['FoundColor'][]>([]);
  const stop = useRef<AbortController | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const path = { slug };
  const all = useMutation({
    mutationFn: async (given: File | Schemas['PictureView']) => {
      const { signal } = (stop.current = new AbortController());
      try {
        const file = given instanceof File ? given : await fromShelf(given, signal);
        setShown({ file, url: URL.createObjectURL(file) });
        return await answered(api.POST('/api/sites/{slug}/colors/picture', { params: { path }, ...bytesOf(file), ...BYTES, signal }));
      } catch (failed) {
        // It was stopped: that is nothing to be told of.
        if (signal.aborted) return undefined;
        throw failed;
      }
    },
  });
  const point = useMutation({
    mutationFn: ({ x, y }: { x: number; y: number }) =>
      answered(
        api.POST('/api/sites/{slug}/colors/picture/point', {
          params: { path, query: { x, y } },
          ...bytesOf((shown as Shown).file),
          ...BYTES,
        }),
      ),
    onSuccess: ({ colors }) => setPoints((before) => [...before, ...colors]),
  });
  const take = (given: File | Schemas['PictureView']) => {
    stop.current?.abort();
    // What came another way is not the file that was chosen before.
    if (input.current && input.current.files?.[0] !== given) input.current.value = '';
    setShown(null);
    setPoints([]);
    point.reset();
    all.mutate(given);
  };
  return (
    <FoundForm
      label="Colours of a picture"
      found={all.data}
      more={points}
      looking={all.isPending}
      onStop={() => stop.current?.abort()}
      problem={all.error?.message ?? point.error?.message}
      onFile={take}
      onDone={onDone}
      onCancel={onCancel}
      beside={
        shown &&
        all.data && (
          // A point is for the pointer: by key the colours of the picture are listed.
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions
          <img
            className="picture-preview"
            src={shown.url}
            alt={`${shown.file.name}: press on it to take the colour of a point`}
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              point.mutate({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
            }}
          />
        )
      }
    >
      <label className="picture-file">
        PNG, JPEG, WebP or SVG: choose a file, drop it here, or paste it
        <input
          ref={input}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/svg+xml"
          // It was opened to choose one.
          autoFocus // eslint-disable-line jsx-a11y/no-autofocus
          onKeyDown={onEscape(onCancel)}
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) take(file);
          }}
        />
      </label>
      {pictures.length > 0 && (
        <Select
          aria-label="Picture of the shelf"
          placeholder="or one of the shelf"
          showSearch={{ optionFilterProp: 'label' }}
          value={null}
          options={pictures.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => {
            const picture = pictures.find((p) => p.id === id);
            if (picture) take(picture);
          }}
        />
      )}
    </FoundForm>
  );
}

async function fromShelf({ name, address }: Schemas['PictureView'], signal: AbortSignal): Promise<File> {
  const response = await fetch(address, { signal }).catch(() => null);
  if (!response) throw new RequestFailed(undefined, 0);
  if (!response.ok) throw new RequestFailed(undefined, response.status);
  const blob = await response.blob();
  return new File([blob], name, { type: blob.type });
}
