import { Button, Input, Select } from 'antd';
import { useId, useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { useFocusNext } from '../../site/useFocusNext';
import { Order } from '../../things/Order';
import { ValueCell } from '../../values/ValueCell';
import { Problem } from '../../ui/Problem';
import './MenusPanel.css';

type Menu = Schemas['MenuView'];
type Item = Schemas['MenuItemView'];

/** The menus: what their items say, where they lead, and in which order. */
export function MenusPanel() {
  const menus = useEditing((e) => e.site.menus);
  if (menus.length === 0) return <p className="empty">This site has no menus.</p>;
  return menus.map((menu) => <MenuSection key={menu.id} menu={menu} />);
}

function MenuSection({ menu }: { menu: Menu }) {
  const { make } = useActions();
  const [section, focusNext] = useFocusNext<HTMLElement>(menu.items.length);
  return (
    <section ref={section} aria-label={`Menu ${menu.name}`}>
      <div className="subhead">
        <strong>{menu.name}</strong>
        <span className="quiet">{menu.items.length === 1 ? '1 item' : `${menu.items.length} items`}</span>
      </div>
      {menu.items.length === 0 && <p className="empty">Nothing in it yet: add a page below.</p>}
      <table className="values menu-items" aria-label={`Items of ${menu.name}`}>
        <thead>
          <tr>
            <th scope="col">Says</th>
            <th scope="col">Leads to</th>
            <th scope="col">
              <span className="unseen">Order</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {menu.items.map((item, place) => (
            <ItemRow
              key={item.id}
              menu={menu}
              item={item}
              place={place}
              onRemove={() => {
                focusNext('td.order button:last-child, .add-form input', place);
                void make({ kind: 'removeMenuItem', menu: menu.id, item: item.id });
              }}
            />
          ))}
        </tbody>
      </table>
      <AddItem menu={menu} />
    </section>
  );
}

function ItemRow({ menu, item, place, onRemove }: { menu: Menu; item: Item; place: number; onRemove: () => void }) {
  const { make } = useActions();
  const set = (change: { label?: string; page?: string }): Edit => ({
    kind: 'setMenuItem',
    menu: menu.id,
    item: item.id,
    label: null,
    page: null,
    ...change,
  });
  return (
    <tr>
      <td>
        <ValueCell
          name={`Label of ${item.label}`}
          text={item.label}
          inherited={null}
          isWords
          names={[]}
          edit={(label) => set({ label: label ?? '' })}
        />
      </td>
      <td>
        <PageChoice label={`Page ${item.label} leads to`} page={item.page} onChange={(page) => void make(set({ page }))} />
      </td>
      <td className="order">
        <Order
          called={item.label}
          place={place}
          count={menu.items.length}
          onMove={(to) => void make({ kind: 'moveMenuItem', menu: menu.id, item: item.id, to })}
          onRemove={onRemove}
        />
      </td>
    </tr>
  );
}

function PageChoice({ label, page, onChange }: { label: string; page: string; onChange: (page: string) => void }) {
  const pages = useEditing((e) => e.site.pages);
  return (
    <Select
      aria-label={label}
      variant="borderless"
      className="value-choice"
      value={page}
      options={pages.map((p) => ({ value: p.id, label: p.name }))}
      popupMatchSelectWidth={220}
      onChange={onChange}
    />
  );
}

function AddItem({ menu }: { menu: Menu }) {
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages);
  const [label, setLabel] = useDraft(`item of ${menu.id}`);
  const [page, setPage] = useState(pages[0]?.id ?? '');
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    const wrong = await make({ kind: 'addMenuItem', menu: menu.id, item: crypto.randomUUID(), label, page }, { saidAtItsPlace: true });
    if (wrong === null) setLabel('');
    return wrong;
  });
  return (
    <form className="add-form" aria-label={`Add an item to ${menu.name}`} onSubmit={submit}>
      <Input
        aria-label="What the new item says"
        aria-describedby={problem === null ? undefined : id}
        placeholder="what it says"
        value={label}
        onChange={(event) => {
          setLabel(event.target.value);
          mend();
        }}
      />
      <Select
        aria-label="Page the new item leads to"
        value={page}
        options={pages.map((p) => ({ value: p.id, label: p.name }))}
        popupMatchSelectWidth={220}
        onChange={setPage}
      />
      <Button htmlType="submit" loading={sending}>
        Add
      </Button>
      <Problem text={problem} id={id} />
    </form>
  );
}
