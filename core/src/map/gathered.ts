/** What views ask for that no row by itself says: the parts of a view that need ids gathered under a name. */
export type AskedByName = {
  /** `cold`: only attempts that answer nothing; `answering`: only those that answer what the other side did. */
  readonly begun?: 'cold' | 'answering';
  /** Only attempts with a clip in this collection, by its id. */ readonly collection?: string;
};

/** Under which name those attempts are gathered that answer something; those of a collection stand under its id. */
export const ANSWERING = 'answering';
/** Ids of attempts under names, for what views ask that no row by itself says. */
export type Gathered = ReadonlyMap<string, ReadonlySet<string>>;

/** What of that a view asks for, by name. */
export const gatheredFor = ({ begun, collection }: AskedByName): readonly string[] => [
  ...(begun === undefined ? [] : [ANSWERING]),
  ...(collection === undefined ? [] : [collection]),
];

const NONE_GATHERED: ReadonlySet<string> = new Set();
/** Says of an attempt whether it is among those that a view asks for; undefined where it asks for no such thing. What was not gathered has nothing in it. */
export const amongGathered = (
  { begun, collection }: AskedByName,
  gathered: Gathered,
): ((attemptId: string) => boolean) | undefined => {
  if (begun === undefined && collection === undefined) return undefined;
  const of = (name: string): ReadonlySet<string> => gathered.get(name) ?? NONE_GATHERED;
  const [answering, collected] = [of(ANSWERING), collection === undefined ? undefined : of(collection)];
  return (id) =>
    (begun === undefined || answering.has(id) === (begun === 'answering')) && (!collected || collected.has(id));
};
