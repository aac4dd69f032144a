import { useEffect, useRef } from 'react';
import { actionOf, type OwnKeys } from './ownKeys.js';

/** What keys do while no field has the hand, by `event.key` (letters in lower case; `shift+` and `ctrl+` in front). */
export type KeyTable = Readonly<Record<string, () => void>>;

/** Whether words are being written into something: a choice of a few words takes none. */
export const isWrittenInto = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (target instanceof HTMLInputElement && target.type !== 'radio') ||
    ['TEXTAREA', 'SELECT'].includes(target.tagName));
/** Keys by which a choice of a few words is moved through. */
const CHOOSING = [' ', 'ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'];
const isChosenBy = (target: EventTarget | null, key: string): boolean =>
  target instanceof HTMLInputElement && target.type === 'radio' && CHOOSING.includes(key);
const isInMenu = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('[role=menu]') !== null;
const isPressedBySpace = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && ['BUTTON', 'A'].includes(target.tagName);

export const keyName = (event: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'ctrlKey' | 'metaKey'>): string => {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const isCommand = event.ctrlKey || event.metaKey;
  return `${isCommand ? 'ctrl+' : ''}${event.shiftKey && event.key.length > 1 ? 'shift+' : ''}${key}`;
};

/** Listens for keys on the whole window, except while somebody types. */
export const usePictureKeys = (keys: KeyTable, own: OwnKeys): void => {
  const latest = useRef({ keys, own });
  useEffect(() => {
    latest.current = { keys, own };
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const action = actionOf(keyName(event), latest.current.own);
      const does = action === undefined ? undefined : latest.current.keys[action];
      if (!does || event.altKey || event.defaultPrevented) return;
      if (isWrittenInto(event.target) || isInMenu(event.target) || isChosenBy(event.target, event.key)) return;
      if ((event.key === ' ' || event.key === 'Enter') && isPressedBySpace(event.target)) return;
      event.preventDefault();
      does();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
};
