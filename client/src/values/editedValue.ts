import { create } from 'zustand';

interface EditedValue {
  /** What is being typed into, in a designer's words; null where nothing is. */
  name: string | null;
  put: ((text: string) => void) | null;
  begin: (name: string, put: (text: string) => void) => void;
  end: (name: string) => void;
}

/** The value that is being typed in this window: what is taken elsewhere can be put into it. */
export const useEditedValue = create<EditedValue>((set) => ({
  name: null,
  put: null,
  begin: (name, put) => set({ name, put }),
  end: (name) => set((e) => (e.name === name ? { name: null, put: null } : e)),
}));
