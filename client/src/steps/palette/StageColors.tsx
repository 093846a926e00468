import { useEffect, useState } from 'react';
import { colorsAt, onPicked } from '../../stage/picked';
import { FoundForm, type FoundProps } from './FoundForm';
import { usePastedColors } from './usePastedColors';

/** The colours that meet at what is picked on the stage. */
export function StageColors(props: FoundProps) {
  const [picked, setPicked] = useState('');
  useEffect(() => {
    return onPicked((element) => setPicked(colorsAt(element)));
  }, []);
  return (
    <FoundForm label="Colours of the stage" {...usePastedColors(picked)} {...props}>
      <p className="quiet">
        Click anything on the stage, or walk there with the arrow keys: its text, its ground and its lines are listed here.
      </p>
    </FoundForm>
  );
}
