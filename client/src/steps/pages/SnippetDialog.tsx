import { Button, Input, Modal, Segmented } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { QueryError } from '../../ui/QueryError';
import type { Block } from '../../site/outline';

const TOKENS = [
  { value: 'kept', label: 'Tokens come along' },
  { value: 'resolved', label: 'Tokens written out' },
];

/** A block taken away for another site: its HTML and just the CSS it needs, as text and as files. */
export function SnippetDialog({ block, onClose }: { block: Block; onClose: () => void }) {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const [tokens, setTokens] = useState('kept');
  const [said, setSaid] = useState('');
  const resolved = tokens === 'resolved';
  const path = { slug, block: block.id };
  const snippet = useQuery({
    queryKey: ['snippet', slug, block.id, version, resolved],
    queryFn: () => answered(api.GET('/api/sites/{slug}/blocks/{block}/snippet', { params: { path, query: { resolved } } })),
    staleTime: Infinity,
  });
  const copy = (what: string, text: string) =>
    void navigator.clipboard.writeText(text).then(
      () => setSaid(`${what} copied.`),
      () => setSaid(`The browser does not let ${what} be copied here: select it and press Ctrl C.`),
    );
  const texts = snippet.data && [
    { name: 'HTML', text: snippet.data.html },
    { name: 'CSS', text: snippet.data.css },
  ];
  return (
    <Modal open width={760} title={`Take ${block.name} away`} footer={null} onCancel={onClose} destroyOnHidden>
      <div className="snippet-bar">
        <Segmented options={TOKENS} value={tokens} aria-label="Tokens" onChange={setTokens} />
        <Button
          href={`/api/sites/${slug}/blocks/${encodeURIComponent(block.id)}/snippet.zip?resolved=${resolved}`}
          download
          aria-label="Save as files, with fonts and pictures"
        >
          Save as files
        </Button>
        <span role="status" className="quiet">
          {said || (snippet.data && resolved && !snippet.data.isResolved ? 'It holds several schemes: its tokens come along.' : '')}
        </span>
      </div>
      {snippet.data?.hasClips && (
        <p className="quiet">
          Its clips are played by a small script, which comes along in the files. Pasted as text without it, each stays its poster.
        </p>
      )}
      {snippet.isError && <QueryError title="The snippet could not be made" query={snippet} />}
      {texts?.map(({ name, text }) => (
        <section key={name} className="snippet-text" aria-label={name}>
          <div className="subhead">
            <strong>{name}</strong>
            <Button size="small" onClick={() => copy(name, text)}>
              Copy {name}
            </Button>
          </div>
          <Input.TextArea readOnly className="mono" aria-label={`${name} of the snippet`} value={text} rows={name === 'HTML' ? 7 : 11} />
        </section>
      ))}
    </Modal>
  );
}
