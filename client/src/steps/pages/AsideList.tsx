import { Button } from 'antd';
import { useActions, useEditing } from '../../site/editingContext';
import { useSetAddress } from '../../site/address';
import { useStageView } from '../../stage/view';

/** What was set aside: it keeps everything, and can be put back. */
export function AsideList() {
  const { blocks, pages } = useEditing((e) => e.site.aside);
  const there = useEditing((e) => e.site.pages);
  const { make } = useActions();
  const [view] = useStageView();
  const setAddress = useSetAddress();
  const onStage = there.find((p) => p.id === view.page) ?? there[0];
  if (blocks.length === 0 && pages.length === 0)
    return <p className="empty">Nothing is set aside. Blocks and pages that are keep all their settings here.</p>;
  return (
    // Long lists scroll, and are reached by key.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="scroll" tabIndex={0} role="group" aria-label="Set aside">
      {pages.length > 0 && (
        <ul className="aside-list" aria-label="Pages set aside">
          {pages.map((page) => (
            <li key={page.id}>
              <strong>{page.name}</strong> <span className="quiet">page</span>
              <span className="acts">
                <Button
                  size="small"
                  onClick={() =>
                    void make({ kind: 'putPageBack', page: page.id }).then((wrong) => wrong === null && setAddress({ page: page.id }))
                  }
                  aria-label={`Put ${page.name} back`}
                >
                  Put back
                </Button>
                <Button size="small" aria-label={`Remove ${page.name}`} onClick={() => void make({ kind: 'removePage', page: page.id })}>
                  Remove
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {blocks.length > 0 && (
        <ul className="aside-list" aria-label="Blocks set aside">
          {blocks.map((block) => {
            const own = there.find((p) => p.id === block.page);
            const to = own ?? onStage;
            return (
              <li key={block.id}>
                <strong>{block.name}</strong>{' '}
                <span className="quiet">
                  {block.part.toLowerCase()}, {block.pageName ? `was on ${block.pageName}` : 'its page is gone'}
                </span>
                <span className="acts">
                  <Button
                    size="small"
                    disabled={!to}
                    aria-label={`Put ${block.name} back`}
                    onClick={() =>
                      void make({ kind: 'putBlockBack', block: block.id, page: own ? null : (to?.id ?? null) }).then(
                        (wrong) => wrong === null && to && setAddress({ page: to.id, selected: block.id, view: 'outline' }),
                      )
                    }
                  >
                    Put back{own ? '' : ` on ${to?.name ?? ''}`}
                  </Button>
                  <Button
                    size="small"
                    aria-label={`Give ${block.name} up`}
                    onClick={() => void make({ kind: 'dropAside', block: block.id })}
                  >
                    Give up
                  </Button>
                </span>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
