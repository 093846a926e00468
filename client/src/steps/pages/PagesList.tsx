import { Button, Input, Select } from 'antd';
import { useId } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { SchemeChoice } from '../../content/SchemeChoice';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { useSetAddress } from '../../site/address';
import { useStageView } from '../../stage/view';
import { freeName } from '../../things/freeName';
import { Order } from '../../things/Order';
import { MenuButton } from '../../ui/MenuButton';
import { Problem } from '../../ui/Problem';
import { ValueCell } from '../../values/ValueCell';

type Page = Schemas['PageView'];

/** Every page in order, and below the one on stage: where it is found and what is said of it. */
export function PagesList() {
  const pages = useEditing((e) => e.site.pages);
  const dead = useEditing((e) => e.site.deadLinks);
  const [view] = useStageView();
  const setAddress = useSetAddress();
  const page = pages.find((p) => p.id === view.page) ?? pages[0];
  return (
    <>
      {/* Long lists scroll, and are reached by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="scroll" tabIndex={0} role="group" aria-label="Every page">
        <ul className="chosen-list" aria-label="Pages in order">
          {pages.map((p) => {
            const broken = dead.filter((d) => d.page === p.id).length;
            return (
              <li key={p.id}>
                <button
                  type="button"
                  aria-pressed={p.id === page?.id}
                  className="row-button page-row"
                  onClick={() => setAddress({ page: p.id, selected: '' })}
                >
                  <strong>{p.name}</strong>
                  <span className="quiet summary">
                    {p.slug}.html{broken > 0 && ` · ${broken === 1 ? '1 link leads' : `${broken} links lead`} nowhere`}
                  </span>
                  <span className="quiet uses">{p.sections.length === 1 ? '1 section' : `${p.sections.length} sections`}</span>
                </button>
              </li>
            );
          })}
        </ul>
        <AddPage />
        {dead.length > 0 && (
          <>
            <div className="subhead">
              <strong>Links that lead nowhere</strong>
            </div>
            <ul className="dead-links">
              {dead.map((d, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="remark-act"
                    onClick={() => setAddress({ view: 'outline', page: d.page ?? '', selected: d.block })}
                  >
                    {d.says}
                  </button>
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      {page && <PageEditor key={page.id} page={page} place={pages.indexOf(page)} count={pages.length} />}
    </>
  );
}

function PageEditor({ page, place, count }: { page: Page; place: number; count: number }) {
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages);
  const menus = useEditing((e) => e.site.menus);
  const setAddress = useSetAddress();
  const set =
    (field: Schemas['PageField']) =>
    (text: string | null): Edit => ({ kind: 'setPage', page: page.id, field, text: text ?? '' });
  const away = menus.filter((m) => !m.items.flatMap((i) => [i, ...i.items]).some((i) => i.to === page.id));
  const gone = (edit: Edit) => void make(edit).then((wrong) => wrong === null && setAddress({ page: '', selected: '' }));
  return (
    <section className="thing-editor" aria-label={`Page ${page.name}`}>
      <div className="subhead">
        <strong>{page.name}</strong>
        <span className="quiet">{place === 0 ? 'the page visitors come to' : `${page.slug}.html`}</span>
      </div>
      <table className="values settings" aria-label={`Settings of ${page.name}`}>
        <tbody>
          {(
            [
              ['name', 'Name', page.name],
              ['address', 'Address', page.slug],
              ['title', 'Title', page.title],
              ['description', 'Description', page.description],
            ] as const
          ).map(([field, label, text]) => (
            <tr key={field}>
              <th scope="row">{label}</th>
              <td>
                <ValueCell name={`${label} of ${page.name}`} text={text || null} inherited="none" names={[]} isWords edit={set(field)} />
              </td>
            </tr>
          ))}
          <tr>
            <th scope="row">Scheme</th>
            <td>
              <SchemeChoice label={`Scheme of ${page.name}`} scheme={page.scheme} onChange={(scheme) => void make(set('scheme')(scheme))} />
            </td>
          </tr>
        </tbody>
      </table>
      <div className="acts">
        <Button
          size="small"
          onClick={() => {
            const id = crypto.randomUUID();
            void make({ kind: 'addPage', id, name: freeName(page.name, 'copy', pages), like: page.id, arrangement: null }).then(
              (wrong) => wrong === null && setAddress({ page: id, selected: '' }),
            );
          }}
        >
          Add one like it
        </Button>
        <MenuButton
          size="small"
          disabled={away.length === 0}
          menu={{
            items: away.map((m) => ({
              key: m.id,
              label: m.name,
              onClick: () => void make({ kind: 'addMenuItem', menu: m.id, item: crypto.randomUUID(), label: page.name, page: page.id }),
            })),
          }}
        >
          Put into a menu
        </MenuButton>
        <Button size="small" disabled={count === 1} onClick={() => gone({ kind: 'setPageAside', page: page.id })}>
          Set aside
        </Button>
        <Button size="small" disabled={count === 1} onClick={() => gone({ kind: 'removePage', page: page.id })}>
          Remove
        </Button>
        <Order
          called={page.name}
          place={place}
          count={count}
          onMove={(to) => void make({ kind: 'movePage', page: page.id, to })}
          onRemove={null}
        />
      </div>
    </section>
  );
}

/** Another page: empty, or with a section to begin with. */
function AddPage() {
  const { make } = useActions();
  const arrangements = useEditing((e) => e.catalogue.arrangements);
  const setAddress = useSetAddress();
  const [name, setName] = useDraft('new page');
  const [arrangement, setArrangement] = useDraft('arrangement of the new page');
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    const page = crypto.randomUUID();
    const wrong = await make({ kind: 'addPage', id: page, name, like: null, arrangement: arrangement || null }, { saidAtItsPlace: true });
    if (wrong === null) {
      setName('');
      setAddress({ page, view: 'outline', selected: '' });
    }
    return wrong;
  });
  return (
    <form className="add-form" aria-label="Add a page" onSubmit={submit}>
      <Input
        aria-label="Name of the new page"
        aria-describedby={problem === null ? undefined : id}
        placeholder="a new page’s name"
        value={name}
        onChange={(event) => {
          setName(event.target.value);
          mend();
        }}
      />
      <Select
        aria-label="What it begins with"
        value={arrangement}
        options={[{ value: '', label: 'empty' }, ...arrangements.map((a) => ({ value: a.id, label: a.name }))]}
        popupMatchSelectWidth={220}
        onChange={setArrangement}
      />
      <Button htmlType="submit" loading={sending}>
        Add
      </Button>
      <Problem text={problem} id={id} />
    </form>
  );
}
