import { useState } from 'react';

const keyOf = (of: string): string => `odograph.line.${of}`;

type Draft = { readonly base: string; readonly text: string };
const draftOf = (of: string, base: string): string | null => {
  try {
    const draft = JSON.parse(sessionStorage.getItem(keyOf(of)) ?? 'null') as Draft | null;
    return draft?.base === base ? draft.text : null;
  } catch {
    return null;
  }
};

/** The text of a line, kept with each key for as long as the window is open: a line that is begun outlives a reload. `base`: what was said when it was begun. */
export const useLineDraft = (of: string, base: string, start: string): readonly [string, (text: string) => void] => {
  const [text, setText] = useState(() => draftOf(of, base) ?? start);
  return [
    text,
    (next) => {
      setText(next);
      sessionStorage.setItem(keyOf(of), JSON.stringify({ base, text: next } satisfies Draft));
    },
  ];
};

/** The line is kept, or was given up. */
export const forgetDraft = (of: string): void => sessionStorage.removeItem(keyOf(of));
