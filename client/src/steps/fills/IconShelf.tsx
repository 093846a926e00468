import { useQuery } from '@tanstack/react-query';
import { Button, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { Problem } from '../../ui/Problem';
import { QueryError } from '../../ui/QueryError';
import { Waiting } from '../../ui/Waiting';
import { foundIcons, iconFile } from './iconSearch';

/** As many are shown at once. */
const MOST = 120;

/** What icons are drawn in where no colour is chosen. */
const BLACK = '#000000';

/** The button that opens the shelf of icons. */
export function IconShelfButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)}>
        Add an icon
      </Button>
      {isOpen && <IconShelf onClose={() => setOpen(false)} />}
    </>
  );
}

/** Open-licence icons, found by what they show: one that is pressed comes to the pictures of the site, drawn in a colour of the palette. */
function IconShelf({ onClose }: { onClose: () => void }) {
  const { addPicture } = useActions();
  const colors = useEditing((e) => e.site.colors);
  const names = useEditing((e) => thingsOf(e.site, 'color'));
  const [wanted, setWanted] = useState('');
  const [color, setColor] = useState(BLACK);
  const [problem, setProblem] = useState<string | null>(null);
  const [adding, setAdding] = useState<string | null>(null);
  const icons = useQuery({ queryKey: ['icons'], queryFn: async () => (await import('virtual:icons')).default, staleTime: Infinity });
  const found = foundIcons(icons.data ?? [], wanted);
  return (
    <Modal open width={640} title="Icons" footer={null} onCancel={onClose}>
      <div className="icon-shelf">
        <div className="icon-search">
          <Input
            type="search"
            aria-label="Search among the icons"
            placeholder="leaf, arrow, calendar…"
            value={wanted}
            allowClear
            // The dialog was opened to look for one.
            autoFocus // eslint-disable-line jsx-a11y/no-autofocus
            onChange={(event) => setWanted(event.target.value)}
          />
          <Select
            aria-label="Drawn in"
            value={color}
            options={[
              { value: BLACK, label: 'black' },
              ...colors.map((c) => ({ value: c.hex, label: names.find((n) => n.id === c.id)?.name ?? c.hex })),
            ]}
            onChange={setColor}
            popupMatchSelectWidth={false}
          />
        </div>
        {icons.isError && <QueryError title="The icons could not be read" query={icons} />}
        {icons.isPending && <Waiting />}
        {icons.data && found.length === 0 && <p className="empty">No icon says {wanted.trim()}.</p>}
        <ul className="icons" aria-label="Icons found">
          {found.slice(0, MOST).map((icon) => (
            <li key={icon[0]}>
              <button
                type="button"
                aria-label={icon[0]}
                title={icon[0]}
                disabled={adding !== null}
                onClick={() => {
                  setAdding(icon[0]);
                  void addPicture(iconFile(icon, color), null, { saidAtItsPlace: true }).then((wrong) => {
                    setAdding(null);
                    setProblem(wrong);
                    if (wrong === null) onClose();
                  });
                }}
              >
                <svg
                  viewBox="0 0 24 24"
                  width="24"
                  height="24"
                  fill="none"
                  stroke={color}
                  strokeWidth="2"
                  strokeLinecap="round"
                  strokeLinejoin="round"
                  aria-hidden="true"
                  dangerouslySetInnerHTML={{ __html: icon[2] }}
                />
              </button>
            </li>
          ))}
        </ul>
        <p className="quiet" role="status">
          {found.length > MOST ? `${MOST} of ${found.length}: say more to see the others` : `${found.length} of ${icons.data?.length ?? 0}`}
        </p>
        <Problem text={problem} />
      </div>
    </Modal>
  );
}
