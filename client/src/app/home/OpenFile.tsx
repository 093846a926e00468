import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useRef, useState } from 'react';
import { answered, api, bytesOf, type RequestFailed } from '../../api/client';
import { NameDialog } from './NameDialog';

/** Opens a site file as a new site; where there is one of its name, another name is asked for. */
export function OpenFile() {
  const queries = useQueryClient();
  const { notification } = App.useApp();
  const input = useRef<HTMLInputElement>(null);
  const [opening, setOpening] = useState(false);
  const [naming, setNaming] = useState<{ file: File; wrong: string } | null>(null);
  const send = async (file: File, name?: string) => {
    const query = name === undefined ? {} : { name };
    const headers = { 'Content-Type': 'application/zip' };
    const opened = await answered(api.POST('/api/sites', { params: { query }, ...bytesOf(file), headers }));
    notification.success({ title: `${opened.name} was opened`, placement: 'bottomLeft' });
    await queries.invalidateQueries({ queryKey: ['sites'] });
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    setOpening(true);
    try {
      await send(file);
    } catch (failed) {
      const { message, path } = failed as RequestFailed;
      if (path === '/name') setNaming({ file, wrong: message });
      else notification.error({ title: 'This site file cannot be opened', description: message, placement: 'bottomLeft', duration: 0 });
    } finally {
      setOpening(false);
      if (input.current) input.current.value = '';
    }
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".zip"
        className="unseen"
        tabIndex={-1}
        aria-label="Site file (zip)"
        onChange={(event) => void open(event.target.files?.[0])}
      />
      <Button loading={opening} onClick={() => input.current?.click()}>
        Open a site file
      </Button>
      {naming && (
        <NameDialog
          title="What shall it be called?"
          act="Open"
          start=""
          wrong={naming.wrong}
          onName={(name) =>
            send(naming.file, name).then(
              () => null,
              (failed: Error) => failed.message,
            )
          }
          onClose={() => setNaming(null)}
        />
      )}
    </>
  );
}
