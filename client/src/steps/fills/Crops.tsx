import { useEffect, useMemo } from 'react';
import { useEditing } from '../../site/editingContext';
import { boxesAt, useFillBoxes } from '../../site/fillBoxes';
import { WIDTHS } from '../../stage/view';
import { DrawnFill } from '../../ui/DrawnFill';

/** As large as a crop is shown, px. */
const WIDEST = 150;
const HIGHEST = 84;

interface Props {
  /** What is cut off, for labels. */
  name: string;
  /** The classes of what covers boxes with it. */
  classes: readonly string[];
  /** It as it covers a box. */
  html: string;
}

/** What is seen of a picture at every width, in the first box that shows it there. */
export function Crops({ name, classes, html }: Props) {
  const pages = useEditing((e) => e.site.pages);
  const frames = useFillBoxes((b) => b.frames);
  const look = useFillBoxes((b) => b.look);
  useEffect(look, [look]);
  const boxes = useMemo(
    () =>
      boxesAt(
        frames,
        classes,
        pages,
        WIDTHS.map((w) => w.width),
      ),
    [frames, classes, pages],
  );
  if (boxes.every((box) => !box)) return null;
  return (
    <span className="crops" role="group" aria-label={`What is seen of ${name} at every width`}>
      {WIDTHS.map(({ width }, i) => {
        const box = boxes[i];
        const scale = box ? Math.min(WIDEST / box.width, HIGHEST / box.height) : 0;
        return (
          <span key={width} className="crop">
            {box ? (
              <span
                style={{ width: box.width * scale, height: box.height * scale }}
                title={`${box.width} × ${box.height} on ${pages.find((p) => p.id === box.page)?.name ?? ''}`}
              >
                <span style={{ width: box.width, height: box.height, transform: `scale(${scale})` }}>
                  <DrawnFill html={html} />
                </span>
              </span>
            ) : (
              <span className="quiet">not seen yet</span>
            )}
            <span className="quiet">{width}</span>
          </span>
        );
      })}
    </span>
  );
}
