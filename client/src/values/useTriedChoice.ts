import { useRef } from 'react';
import type { Edit } from '../api/client';
import { useTrial } from '../site/useTrial';

/**
 * What a Select is given so that the stage shows an option as soon as it is led to, and what is stored when none is taken.
 * @param onMade what comes once an option is stored
 */
export function useTriedChoice(edit: (value: string) => Edit, onMade?: () => void) {
  const { attempt, cancelTrial, make } = useTrial();
  const open = useRef(false);
  return {
    // A list that is closing still makes options active, which nobody looks at any more.
    onActive: (value: string | null | undefined) => {
      if (open.current) attempt(edit(value ?? ''));
    },
    onOpenChange: (isOpen: boolean) => {
      if (open.current && !isOpen) cancelTrial();
      open.current = isOpen;
    },
    onChange: (value: string) => {
      open.current = false;
      void make(edit(value)).then((wrong) => {
        if (wrong === null) onMade?.();
      });
    },
  };
}
