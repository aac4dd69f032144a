import type { Words } from '../vocabulary/index.js';
import { beginsThere, endsThere } from './aims.js';
import { holdKey } from './holds.js';
import type { Piece, Pointer, Said } from './pieces.js';
import type { Meant, PhraseContext, SaidFinish, SaidPlace } from './types.js';

/** A reading of the text up to a token: what has been said so far, and how well it explains the text. */
export type Reading = {
  readonly at: number;
  readonly score: number;
  /** Whose doings are told: the acting side's, the other's just named, the other's some clauses ago. */ readonly voice:
    'us' | 'they' | 'after they';
  readonly pointer: Exclude<Pointer, 'joint' | 'they'> | null;
  readonly place: SaidPlace | null;
  readonly action: string | null;
  readonly finish: SaidFinish | null;
  readonly result: boolean;
  readonly depth: boolean;
  readonly who: boolean;
  readonly used: ReadonlySet<string>;
  readonly last: Said['is'] | null;
  readonly before: Reading | null;
  /** The piece that was read last; null where a token was not understood. */ readonly piece: Piece | null;
  readonly meant: Meant | null;
};

type Placed = { readonly score: number; readonly change: Partial<Reading>; readonly meant: Meant };

/** Where a piece belongs after what was read, and what speaks for it; undefined where it has no place. Several, where it may be two things. */
export const placesFor = (r: Reading, piece: Piece, words: Words, context: PhraseContext): readonly Placed[] => {
  const { said } = piece;
  const they = r.voice === 'they' ? 0.35 : r.voice === 'after they' ? 0.05 : 0;
  const points = (to: Reading['pointer']): number => (r.pointer === to ? 0.5 : r.pointer === null ? 0 : -0.3);
  switch (said.is) {
    case 'who':
      return r.who || r.before
        ? []
        : [{ score: 0.3, change: { who: true }, meant: { part: 'who', subject: said.subject } }];
    case 'place': {
      const { place } = said;
      const placed: Placed[] = [];
      if (!r.place)
        placed.push({
          score:
            beginsThere(place, r.action, words) +
            (context.left?.position === place.position ? 0.25 : 0) +
            (r.action !== null && r.pointer !== 'from' ? -0.35 : 0) +
            points('from') -
            (r.finish ? 0.2 : 0) -
            they,
          change: { place, voice: 'us' },
          meant: { part: 'position', place },
        });
      if (!r.finish) {
        const finish: SaidFinish = { kind: 'state', ...place };
        placed.push({
          score:
            endsThere(r.action, finish, r.place, words) +
            (r.action === null && r.pointer !== 'to' ? -0.5 : 0) +
            (!r.place && r.pointer !== 'to' ? -0.1 : 0) +
            points('to') -
            they / 2,
          change: { finish, voice: 'us' },
          meant: { part: 'finish', finish },
        });
      }
      return placed;
    }
    case 'action': {
      const placed: Placed[] = [];
      if (r.action === null && r.voice !== 'they')
        placed.push({
          score:
            beginsThere(r.place, said.key, words) +
            endsThere(said.key, r.finish, r.place, words) +
            (r.pointer === 'to' || r.pointer === 'because' ? -0.3 : 0.05) -
            (r.last === 'reaction' ? 0.15 : 0),
          change: { action: said.key, voice: 'us' },
          meant: { part: 'entry', action: said.key },
        });
      if (r.action !== null || r.voice === 'they')
        placed.push({
          score: (r.voice === 'they' ? 0.05 : r.voice === 'after they' ? -0.25 : -0.6) + (r.finish ? -0.2 : 0),
          change: {},
          meant: { part: 'reaction', what: said.key, isAction: true },
        });
      return placed;
    }
    case 'submission': {
      if (r.finish) return [];
      const finish: SaidFinish = { kind: 'submission', submission: said.key, won: said.won };
      return [
        {
          score:
            endsThere(r.action, finish, r.place, words) +
            points('to') +
            (r.action === null ? -0.6 : said.isEnd ? 0.25 : -0.25) -
            they / 2,
          change: { finish, voice: 'us' },
          meant: { part: 'finish', finish },
        },
      ];
    }
    case 'reset':
      return r.finish || (r.action === null && !r.place)
        ? []
        : [
            {
              score: points('to') - 0.15,
              change: { finish: { kind: 'reset', how: said.how, restart: null } },
              meant: { part: 'finish', finish: { kind: 'reset', how: said.how, restart: null } },
            },
          ];
    case 'reaction': {
      const what = `reaction ${said.key}`;
      if (r.used.has(what)) return [];
      return [
        {
          score:
            (r.voice === 'they' ? 0.55 : r.voice === 'after they' ? 0.2 : r.action === null ? -0.4 : -0.05) +
            (r.pointer === null ? 0 : -0.35) -
            (r.finish ? 0.15 : 0),
          change: { used: new Set(r.used).add(what) },
          meant: { part: 'reaction', what: said.key, isAction: false },
        },
      ];
    }
    case 'reason':
      return [
        {
          // half a reason that nothing points to is hardly one
          score: r.pointer === 'because' ? 0.5 : (r.result ? -0.05 : -0.35) - 2 * (1 - piece.quality),
          change: {},
          meant: { part: 'reason', reason: said.key },
        },
      ];
    case 'hold': {
      const what = holdKey(said.hold);
      if (r.used.has(what)) return [];
      const byThem = r.voice === 'they';
      return [
        {
          score:
            (byThem ? -0.1 : 0.05) +
            (r.pointer === 'with' ? 0.2 : r.pointer === null ? 0 : -0.35) -
            (r.finish ? 0.25 : 0),
          change: { used: new Set(r.used).add(what), ...(r.pointer === 'with' ? { pointer: 'with' as const } : {}) },
          meant: { part: 'grip', hold: said.hold, holder: byThem ? 'opponent' : 'subject' },
        },
      ];
    }
    case 'bait':
      return r.used.has('bait') || r.action === null
        ? []
        : [{ score: -0.1, change: { used: new Set(r.used).add('bait') }, meant: { part: 'intent', intent: 'bait' } }];
    case 'result':
      return r.result
        ? []
        : [
            {
              score: (r.pointer === null ? 0.05 : -0.4) + (r.finish || r.action !== null ? 0.1 : -0.2),
              change: { result: true, voice: 'us' },
              meant: { part: 'result', result: said.result },
            },
          ];
    case 'depth': {
      const does = r.action === null ? undefined : words.action(r.action)?.does;
      return r.depth || does === undefined || !said.does.includes(does)
        ? []
        : [
            {
              score: r.pointer === null ? 0 : -0.3,
              change: { depth: true },
              meant: { part: 'depth', depth: said.depth },
            },
          ];
    }
    case 'pointer':
      return [];
  }
};
