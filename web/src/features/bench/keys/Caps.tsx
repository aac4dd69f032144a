import { createContext, useContext } from 'react';
import { capText } from './keys.text.js';
import { keyNow, type OwnKeys } from './ownKeys.js';

/** The keys of whoever is at the bench. */
export const OwnKeysHere = createContext<OwnKeys>({});

/** A text with its keys as they are now: `{d}` is the key that drops a mark. */
export const withCaps = (text: string, own: OwnKeys): string =>
  text.replace(/\{(.)\}/gu, (_, key: string) => capText(keyNow(key, own)));

export const Caps = ({ text }: { readonly text: string }): React.JSX.Element => (
  <>{withCaps(text, useContext(OwnKeysHere))}</>
);
