import { useEffect, useMemo, useState } from 'react';
import type { Edit } from '../api/client';
import type { Making } from './editing';
import { useActions } from './editingContext';

/** Trials and edits of one component: what it tries ends when it makes an edit, when it says so, or with itself. */
export function useTrial() {
  const { attempt, cancelTrial, make } = useActions();
  const [owner] = useState(() => ({}));
  useEffect(() => () => cancelTrial(owner), [cancelTrial, owner]);
  return useMemo(
    () => ({
      attempt: (edit: Edit) => attempt(edit, owner),
      cancelTrial: () => cancelTrial(owner),
      /** For a control that makes an edit: what the pointer or the focus is on is shown on the stage. */
      shownBy: (edit: Edit) => ({
        onPointerEnter: () => attempt(edit, owner),
        onPointerLeave: () => cancelTrial(owner),
        onFocus: () => attempt(edit, owner),
        onBlur: () => cancelTrial(owner),
      }),
      make: (edit: Edit, making?: Making) => make(edit, { ...making, owner }),
    }),
    [attempt, cancelTrial, make, owner],
  );
}
