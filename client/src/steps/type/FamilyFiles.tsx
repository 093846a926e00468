import { Button } from 'antd';
import type { Schemas } from '../../api/client';
import { useActions } from '../../site/editingContext';
import { FontButton } from './FontButton';

interface Props {
  family: Schemas['FamilyView'];
  busy: boolean;
  onFiles: (files: File[], replaces: string | null) => void;
}

/** The font files of a family: what they hold, whose they are, and who needs them. */
export function FamilyFiles({ family, busy, onFiles }: Props) {
  const { make } = useActions();
  const { files, languages, axes } = family;
  const hasOwn = files.some((f) => f.isOwn);
  return (
    <div className="family-files">
      <p className="quiet">
        {files.length === 0 ? 'No files: visitors see the first of the list that their device has.' : facts(languages, axes)}
        {family.lacks && (
          <>
            {' '}
            <Button
              size="small"
              onClick={() => void make({ kind: 'setThing', of: 'family', id: family.id, field: 'letters', text: family.face, in: null })}
            >
              Take all its files
            </Button>
          </>
        )}
      </p>
      {files.length > 0 && (
        <table className="values" aria-label={`Files of ${family.name}`}>
          <thead>
            <tr>
              <th scope="col">Weights</th>
              <th scope="col">Licence</th>
              <th scope="col">Text styles</th>
              {hasOwn && (
                <th scope="col" className="acts-head">
                  <span className="unseen">Change</span>
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {files.map((file) => (
              <tr key={file.item}>
                <th scope="row">
                  {file.from === file.to ? file.from : `${file.from}–${file.to}`}
                  {file.italic ? ' italic' : ''}
                  {file.ranges.includes('U+0100') ? ', more letters' : ''}
                </th>
                <td title={file.isOwn ? file.licence : 'An open licence, which goes with the release'}>
                  {!file.isOwn ? 'open' : file.licence === '' ? 'the file says nothing' : file.licence}
                  {!file.mayEmbed && <strong className="fail"> · says it may not be sent with pages</strong>}
                </td>
                <td title={file.usedBy.join('\n')}>{file.usedBy.length === 0 ? 'none' : file.usedBy.join(', ')}</td>
                {hasOwn && (
                  <td className="acts-cell">
                    {file.isOwn && (
                      <>
                        <FontButton label="Replace" one busy={busy} onFiles={(list) => onFiles(list, file.item)} />{' '}
                        <Button
                          size="small"
                          aria-label={`Remove ${file.from === file.to ? file.from : `${file.from}–${file.to}`}${file.italic ? ' italic' : ''} of ${family.name}`}
                          onClick={() => void make({ kind: 'removeFontFile', family: family.id, item: file.item })}
                        >
                          Remove
                        </Button>
                      </>
                    )}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="below-rows">
        <FontButton label="Add a file to it" busy={busy} onFiles={(list) => onFiles(list, null)} />
      </div>
    </div>
  );
}

function facts(languages: readonly string[], axes: readonly Schemas['AxisRange'][]): string {
  const said = [
    languages.length === 0 ? 'All letters of no language that is known here' : `${languages.length} languages, such as ${some(languages)}`,
    axes.length > 0 && `axes ${axes.map((a) => `${a.tag} ${a.least}–${a.most}`).join(', ')}`,
  ];
  return said.filter(Boolean).join(' · ');
}

/** A few that most sites ask for, where they are there. */
function some(languages: readonly string[]): string {
  const first = ['English', 'German', 'French', 'Polish', 'Turkish', 'Greek', 'Russian', 'Vietnamese'].filter((l) => languages.includes(l));
  return (first.length > 0 ? first : languages).slice(0, 5).join(', ');
}
