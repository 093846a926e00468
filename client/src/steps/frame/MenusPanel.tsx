import { Button, Input } from 'antd';
import { useId, useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { useFocusNext } from '../../site/useFocusNext';
import { Order } from '../../things/Order';
import { LinkField } from '../../values/LinkField';
import { ValueCell } from '../../values/ValueCell';
import { Problem } from '../../ui/Problem';
import './MenusPanel.css';

type Menu = Schemas['MenuView'];
type Item = Schemas['MenuItemView'];

/** An item in its menu. */
interface Placed {
  item: Item;
  /** The item it stands under; null in the menu itself. */
  parent: Item | null;
  place: number;
  /** Those it stands with. */
  among: readonly Item[];
}

/** The menus: what their items say, where they lead, in which order, and which stand under others. */
export function MenusPanel() {
  const menus = useEditing((e) => e.site.menus);
  if (menus.length === 0) return <p className="empty">This site has no menus.</p>;
  return menus.map((menu) => <MenuSection key={menu.id} menu={menu} />);
}

const placedIn = (among: readonly Item[], parent: Item | null): Placed[] =>
  among.flatMap((item, place) => [{ item, parent, place, among }, ...placedIn(item.items, item)]);

function MenuSection({ menu }: { menu: Menu }) {
  const { make } = useActions();
  const items = placedIn(menu.items, null);
  const [section, focusNext] = useFocusNext<HTMLElement>(items.length);
  return (
    <section ref={section} aria-label={`Menu ${menu.name}`}>
      <div className="subhead">
        <strong>{menu.name}</strong>
        <span className="quiet">{items.length === 1 ? '1 item' : `${items.length} items`}</span>
      </div>
      {items.length === 0 && <p className="empty">Nothing in it yet: add a page below.</p>}
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
          {items.map((placed, row) => (
            <ItemRow
              key={placed.item.id}
              menu={menu}
              placed={placed}
              onRemove={() => {
                focusNext('td.order button:last-child, .add-form input', row);
                void make({ kind: 'removeMenuItem', menu: menu.id, item: placed.item.id });
              }}
            />
          ))}
        </tbody>
      </table>
      <AddItem menu={menu} />
    </section>
  );
}

function ItemRow({ menu, placed, onRemove }: { menu: Menu; placed: Placed; onRemove: () => void }) {
  const { item, parent, place, among } = placed;
  const { make } = useActions();
  const home = useEditing((e) => e.site.pages[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const set = (change: { label?: string; page?: string }): Edit => ({
    kind: 'setMenuItem',
    menu: menu.id,
    item: item.id,
    label: null,
    page: null,
    ...change,
  });
  const move = (to: number, under: string | null) => void make({ kind: 'moveMenuItem', menu: menu.id, item: item.id, to, parent: under });
  const before = parent === null ? among[place - 1] : undefined;
  return (
    <tr>
      <td className={parent ? 'inner-item' : ''}>
        <ValueCell
          name={`Label of ${item.label}`}
          text={item.label}
          inherited={null}
          isWords
          names={[]}
          edit={(label) => set({ label: label ?? '' })}
        />
      </td>
      <td title={item.aside ? `${item.aside} is set aside: this item is shown nowhere until it is back.` : undefined}>
        <LinkField
          label={`Where ${item.label} leads`}
          held={item.to}
          page={home}
          problem={problem}
          onChoose={(page) => void make(set({ page }), { saidAtItsPlace: true }).then(setProblem)}
        />
      </td>
      <td className="order">
        {parent ? (
          <button
            type="button"
            className="small-button"
            aria-label={`Take ${item.label} out from under ${parent.label}`}
            title={`Out from under ${parent.label}`}
            onClick={() => move(menu.items.findIndex((i) => i.id === parent.id) + 1, null)}
          >
            ←
          </button>
        ) : (
          <button
            type="button"
            className="small-button"
            aria-label={before ? `Put ${item.label} under ${before.label}` : `Nothing stands before ${item.label}`}
            title={before ? `Under ${before.label}` : undefined}
            aria-disabled={!before || item.items.length > 0}
            onClick={() => {
              if (before && item.items.length === 0) move(before.items.length, before.id);
            }}
          >
            →
          </button>
        )}
        <Order called={item.label} place={place} count={among.length} onMove={(to) => move(to, parent?.id ?? null)} onRemove={onRemove} />
      </td>
    </tr>
  );
}

function AddItem({ menu }: { menu: Menu }) {
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages);
  const [label, setLabel] = useDraft(`item of ${menu.id}`);
  const home = pages[0];
  const [to, setTo] = useState({ to: home?.id ?? '', says: home?.name ?? '' });
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    // A page is called as it is called, unless something else is typed.
    const says = label.trim() === '' ? to.says : label;
    const wrong = await make(
      { kind: 'addMenuItem', menu: menu.id, item: crypto.randomUUID(), label: says, page: to.to, parent: null },
      { saidAtItsPlace: true },
    );
    if (wrong === null) setLabel('');
    return wrong;
  });
  return (
    <form className="add-form" aria-label={`Add an item to ${menu.name}`} onSubmit={submit}>
      <Input
        aria-label="What the new item says"
        aria-describedby={problem === null ? undefined : id}
        placeholder={to.says || 'what it says'}
        value={label}
        onChange={(event) => {
          setLabel(event.target.value);
          mend();
        }}
      />
      <LinkField
        label="Where the new item leads"
        held={to.to}
        page={home?.id ?? ''}
        onChoose={(chosen, says) => {
          setTo({ to: chosen, says });
          mend();
        }}
      />
      <Button htmlType="submit" loading={sending}>
        Add
      </Button>
      <Problem text={problem} id={id} />
    </form>
  );
}
