import {
  aimReached,
  finishId,
  readPhrase,
  stateId,
  type Meant,
  type PhrasePart,
  type State,
  type Words,
} from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { facetOf, type FacetKey } from './facets.js';
import { gripKey } from './gripFacet.js';

/** A part that a typed text asks for: the facet that has it, and the values of which one will do. */
type Wanted = { readonly facet: FacetKey; readonly isIt: (value: string, words: Words) => boolean };
/** What is asked for in one text: parts, and the words that are none. */
export type Asked = { readonly parts: readonly Wanted[]; readonly rest: readonly string[] };

const one = (facet: FacetKey, wanted: string): Wanted => ({ facet, isIt: (value) => value === wanted });
const placed = (facet: FacetKey, { position, role }: Omit<State, 'role'> & { role: State['role'] | null }): Wanted =>
  role === null
    ? { facet, isIt: (value) => value.startsWith(`${position}/`) }
    : one(facet, stateId({ position, role }));

/** What a part asks for. A side that nobody typed is not asked for; undefined where clips are not chosen by such a part. */
const wantedOf = (meant: Meant, isSideTyped: boolean): Wanted | undefined => {
  const side = <R>(role: R): R | null => (isSideTyped ? role : null);
  switch (meant.part) {
    case 'position':
      return placed('from', { ...meant.place, role: side(meant.place.role) });
    case 'finish': {
      const { finish } = meant;
      if (finish.kind === 'state') return placed('finish', { ...finish, role: side(finish.role) });
      return finish.kind === 'submission' ? one('finish', finishId(finish)) : undefined;
    }
    case 'entry':
      // *sweep* is every sweep
      return {
        facet: 'entry',
        isIt: (value, words) => value === meant.action || words.action(value)?.parent === meant.action,
      };
    case 'reaction':
      return one('reaction', meant.what);
    case 'result':
      return one('result', meant.result);
    case 'reason':
      return one('reason', meant.reason);
    case 'grip':
      return one(meant.holder === 'subject' ? 'grip' : 'theirGrip', gripKey(meant.hold));
    case 'fact':
      return one('fact', `${meant.fact.fact} ${meant.fact.value} ${meant.fact.whose}`);
    case 'alternative':
      return one('alternative', `${meant.way.by} ${meant.way.isAction ? 'action' : 'reaction'} ${meant.way.what}`);
    case 'clothing':
      return one('clothing', meant.gi ? 'gi' : 'no-gi');
    case 'known':
      return one('how', meant.how);
    case 'aim':
      return one('aim', finishId(aimReached(meant.aim)));
    case 'who':
    case 'intent':
    case 'depth':
      return undefined;
  }
};

/** What a text asks for, read as the line on the bench reads it; what is no part, or no facet, is left as words. */
export const askedIn = (text: string, words: Words): Asked => {
  const { parts, notUnderstood, notes } = readPhrase(text, words);
  const read = parts
    .filter((p) => p.status !== 'proposed')
    .map((p: PhrasePart) => ({ p, wanted: wantedOf(p.meant, p.because === undefined) }));
  const left = [
    ...notUnderstood.map((n) => n.text),
    ...notes.map((n) => n.text),
    ...read.flatMap(({ p, wanted }) => (wanted ? [] : [text.slice(p.from, p.to)])),
  ];
  return {
    parts: read.flatMap(({ wanted }) => wanted ?? []),
    rest: left.flatMap((some) => some.split(/[^\p{L}\p{N}]+/u)).filter(Boolean),
  };
};

/** Whether a clip has all the parts that are asked for. */
export const hasParts = (view: ClipView, { parts }: Asked, words: Words): boolean =>
  parts.every(({ facet, isIt }) =>
    facetOf(facet)
      .valuesOf(view, words)
      .some((value) => isIt(value, words)),
  );
