import { Select } from 'antd';
import { useState } from 'react';
import type { Edit } from '../api/client';
import { useEditing } from '../site/editingContext';
import type { PictureSpot, PostSpot } from '../site/requests';
import { FileButton } from '../ui/FileButton';
import { Problem } from '../ui/Problem';
import { PICTURES, usePictures } from './usePictures';
import { useTriedChoice } from './useTriedChoice';

interface Props {
  label: string;
  /** Id of the picture that is shown; empty for none. */
  held: string;
  isRequired?: boolean;
  /** Where a file is shown that is added. */
  spot: PictureSpot | PostSpot;
  /** The edit for a picture of the shelf. */
  edit: (picture: string | null) => Edit;
}

/** A picture of the shelf, or a file that comes onto it. */
export function PictureField({ label, held, isRequired = false, spot, edit }: Props) {
  const pictures = useEditing((e) => e.site.pictures);
  const { add, ask, reading, asking } = usePictures();
  const [problem, setProblem] = useState<string | null>(null);
  const tried = useTriedChoice(edit, () => 'block' in spot && ask(spot.block));
  const none = isRequired && held ? [] : [{ value: '', label: isRequired ? 'none yet' : 'none' }];
  return (
    <>
      <div className="picture-choice">
        <Select
          aria-label={label}
          variant="borderless"
          className="value-choice"
          showSearch={{ optionFilterProp: 'label' }}
          value={held}
          options={[...none, ...pictures.map((p) => ({ value: p.id, label: p.name }))]}
          {...tried}
        />
        <FileButton
          label="Add a file"
          kinds="PNG, JPEG, WebP or SVG"
          accept={PICTURES}
          busy={reading !== null}
          one
          onFiles={([file]) => void (file && add(file, spot, true).then(setProblem))}
        />
      </div>
      <Problem text={problem} />
      {asking}
    </>
  );
}
