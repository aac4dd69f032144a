/** Keys that somebody has put in place of others: by the key an action has when nothing is changed, the key it has now. */
export type OwnKeys = Readonly<Record<string, string>>;

/** Keys that belong to the browser, to writing, or to moving about the page; no action is put on them. */
const isFree = (key: string): boolean => key.length === 1 && key.trim() !== '' && key !== '?';

/** The key that an action has now. */
export const keyNow = (action: string, own: OwnKeys): string => own[action] ?? action;

/** The action whose key was pressed, by its first key; undefined where the key was given away and not taken by another. */
export const actionOf = (pressed: string, own: OwnKeys): string | undefined => {
  const taken = Object.entries(own).find(([, key]) => key === pressed);
  if (taken) return taken[0];
  return own[pressed] === undefined ? pressed : undefined;
};

/** Why an action cannot have a key: it is no key for an action, or another action has it; null where it can. `actions` are all there are, by their first keys. */
export const against = (
  action: string,
  key: string,
  own: OwnKeys,
  actions: readonly string[],
): { readonly kind: 'not free' } | { readonly kind: 'taken'; readonly by: string } | null => {
  if (!isFree(key)) return { kind: 'not free' };
  const by = actions.find((other) => other !== action && keyNow(other, own) === key);
  return by === undefined ? null : { kind: 'taken', by };
};

/** The keys with one more change; an action that gets its first key back is not changed. */
export const withKey = (own: OwnKeys, action: string, key: string): OwnKeys => {
  const { [action]: before, ...rest } = own;
  void before;
  return key === action ? rest : { ...rest, [action]: key };
};
