import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useId } from 'react';
import { answered, api, type RequestFailed } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { QueryError } from '../../ui/QueryError';
import { Problem } from '../../ui/Problem';
import { When } from '../../ui/When';
import { Waiting } from '../../ui/Waiting';
import './SnapshotsStep.css';

/** Named states of the whole site, and what has been done to it. */
export default function SnapshotsStep() {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const { bringBack } = useActions();
  const past = useQuery({
    queryKey: ['past', slug, version],
    queryFn: () => answered(api.GET('/api/sites/{slug}/past', { params: { path: { slug } } })),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
  if (past.isError) return <QueryError title="The history cannot be read" query={past} />;
  return (
    <section className="step-panel snapshots-step" aria-label="Snapshots">
      <div className="bar">
        <h1>Snapshots</h1>
      </div>
      <NameState />
      {!past.data ? (
        <Waiting />
      ) : (
        // Long lists scroll, and are reached by key.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        <div className="scroll" tabIndex={0} role="group" aria-label="Snapshots and history">
          <div className="subhead">
            <strong>Named states</strong>
            <span className="quiet">kept for good</span>
          </div>
          {past.data.snapshots.length === 0 ? (
            <p className="empty">None yet. Name the present state before you try something bold: you can always go back to it.</p>
          ) : (
            <ul className="past-rows" aria-label="Named states">
              {past.data.snapshots.map((snapshot) => (
                <li key={snapshot.id}>
                  <strong className="what" title={snapshot.name}>
                    {snapshot.name}
                  </strong>
                  <When at={snapshot.at} />
                  <Button size="small" aria-label={`Go back to ${snapshot.name}`} onClick={() => void bringBack(snapshot.id)}>
                    Go back to it
                  </Button>
                </li>
              ))}
            </ul>
          )}
          <div className="subhead">
            <strong>History</strong>
            <span className="quiet">
              {past.data.isAll ? '' : 'the latest '}
              {past.data.items.length === 1 ? '1 change' : `${past.data.items.length} changes`}
            </span>
          </div>
          {past.data.items.length === 0 ? (
            <p className="empty">Nothing has been changed yet.</p>
          ) : (
            <ol className="past-rows" aria-label="History">
              {past.data.items.map((item) => (
                <li key={item.version} className={item.isUndone ? 'undone' : ''}>
                  <span className="what" title={item.label}>
                    {item.label}
                  </span>
                  {item.isUndone && <span className="quiet">taken back</span>}
                  <When at={item.at} />
                </li>
              ))}
            </ol>
          )}
        </div>
      )}
    </section>
  );
}

function NameState() {
  const slug = useEditing((e) => e.site.slug);
  const queries = useQueryClient();
  const [name, setName] = useDraft('state name');
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    try {
      await answered(api.POST('/api/sites/{slug}/snapshots', { params: { path: { slug } }, body: { name } }));
    } catch (failed) {
      return (failed as RequestFailed).message;
    }
    setName('');
    await queries.invalidateQueries({ queryKey: ['past', slug] });
    return null;
  });
  return (
    <form className="name-state" onSubmit={submit}>
      <Input
        aria-label="Name for the present state"
        aria-describedby={problem === null ? undefined : id}
        placeholder="Name for the present state"
        value={name}
        maxLength={60}
        status={problem ? 'error' : ''}
        onChange={(event) => {
          setName(event.target.value);
          mend();
        }}
      />
      <Button htmlType="submit" disabled={name.trim() === ''} loading={sending}>
        Keep it
      </Button>
      <Problem text={problem} id={id} />
    </form>
  );
}
