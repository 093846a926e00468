import { Button } from 'antd';
import { useRef } from 'react';

interface Props {
  label: string;
  /** What can be chosen, in words. */
  kinds: string;
  /** The same as a browser's choice of files has it. */
  accept: string;
  busy: boolean;
  one?: boolean;
  onFiles: (files: File[]) => void;
}

/** A button that opens the choice of files. */
export function FileButton({ label, kinds, accept, busy, one = false, onFiles }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button size="small" loading={busy} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        className="unseen"
        tabIndex={-1}
        aria-label={`${label}: ${kinds}`}
        accept={accept}
        multiple={!one}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          // The same file can be chosen again.
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </>
  );
}
