export const MARK_TEXT = {
  waiting: (n: number): string =>
    n === 0 ? 'No marks waiting. {d} drops one while it plays.' : n === 1 ? '1 mark waiting.' : `${n} marks waiting.`,
  next: 'Go to the next',
  putBack: 'Marks are moved back by',
  learned: (n: number | null): string =>
    n === null ? 'as set' : n === 0 ? 'the usual' : n === 1 ? 'learned from 1' : `learned from ${n}`,
  less: 'Move marks back less',
  more: 'Move marks back more',
  asLearned: 'as learned',
  loop: (s: number): string => `loop of ${s} s`,
  endAssumed: 'Its end is a guess: esc, then {o} where it ends, or {-} {+}.',
  endSaid: 'It ends where you said.',
  at: (code: string, at: number, of: number): string => `Mark ${at} of ${of}, ${code}`,
  sighting: (code: string): string => `Sighting, ${code}`,
  name: (code: string): string => `Mark at ${code}`,
  sighted: (place: string, code: string): string => `Seen at ${code}: ${place}`,
} as const;
