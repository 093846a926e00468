import { useEffect, useState } from 'react';

/** For what is opened over a page: when it goes, the focus goes back to where it came from, unless it is somewhere else by then. */
export function useReturnFocus(): void {
  const [before] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      // Once it is gone from the page.
      window.setTimeout(() => {
        if (document.activeElement === document.body && before instanceof HTMLElement) before.focus();
      });
    },
    [before],
  );
}
