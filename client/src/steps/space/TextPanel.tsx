import { looksOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { ALL_WIDTHS, remarksOf } from '../../ledger/cells';
import { LedgerCell } from '../../ledger/LedgerCell';
import { Remarks } from '../../ledger/Remarks';
import { FieldOf } from '../../things/FieldOf';

const SIDES = ['space-before', 'space-after'] as const;

/** The space before and after every text element, and how two meet. */
export function TextPanel() {
  const catalogue = useEditing((e) => e.catalogue);
  const site = useEditing((e) => e.site);
  const parts = catalogue.parts.filter((part) => SIDES.every((side) => part.properties.some((p) => p.setting.id === side)));
  return (
    <>
      <table className="values settings" aria-label="How two meet">
        <tbody>
          <tr>
            <th scope="row">Where two meet</th>
            <td>
              <FieldOf kind="spaceRules" id="rules" field="meeting" />
            </td>
          </tr>
        </tbody>
      </table>
      <p className="hint">
        Between two blocks that stand one below another there is one margin, before the second. What says nothing says the gap of what it
        stands in.
      </p>
      <table className="values around-text" aria-label="Space around text">
        <thead>
          <tr>
            <th scope="col">Text element</th>
            <th scope="col">Before</th>
            <th scope="col">After</th>
          </tr>
        </thead>
        <tbody>
          {parts.flatMap((part) =>
            looksOf(site, part.id).map((look) => (
              <tr key={look.id}>
                <th scope="row">{part.hasLooks ? `${part.name} · ${look.name}` : part.name}</th>
                {SIDES.map((side) => {
                  const property = part.properties.find((p) => p.setting.id === side);
                  return (
                    <td key={side}>
                      {property && (
                        <>
                          <LedgerCell
                            look={look}
                            property={property}
                            state="rest"
                            widths={ALL_WIDTHS}
                            isStop
                            called={`${property.setting.name} ${part.name} · ${look.name}`}
                          />
                          <Remarks
                            look={look}
                            property={property}
                            widths={ALL_WIDTHS}
                            remarks={remarksOf(look, property, ['rest'], ALL_WIDTHS)}
                          />
                        </>
                      )}
                    </td>
                  );
                })}
              </tr>
            )),
          )}
        </tbody>
      </table>
    </>
  );
}
