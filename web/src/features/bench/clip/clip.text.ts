export const INSTANT_TEXT = {
  label: 'Instants of this clip',
  goTo: 'Go to',
  notSaid: 'not marked',
  assumed: 'Nobody said where it ended; this is where the loop round the mark did.',
  outside: (name: string): string => `The clip doesn’t reach this frame, so ${name} stays where it was.`,
  drawing: 'drawing',
  own: 'What happens here',
  ownHint: 'A name for this instant: “hips switch”. Enter keeps it, Esc leaves it.',
  ownRefusal: 'It needs a name of up to 40 letters, and the clip has to reach this frame.',
  removeOwn: (name: string): string => `Take “${name}” off`,
  run: (count: number, name: string): string => (name ? `play “${name}” (${count})` : `play the run of ${count}`),
  order: 'Start, commit and end have to come in that order, so nothing changed.',
  loopFrom: (code: string): string => `a loop from ${code}: {u} where it ends`,
  loop: (nth: number, speed: number): string =>
    `loop ${nth}${speed === 1 ? '' : `, ${{ 0.5: 'half', 0.25: 'quarter' }[speed] ?? `${speed} ×`} speed`}`,
  removeLoop: (nth: number): string => `Take loop ${nth} off`,
} as const;

export const CHAIN_TEXT = {
  nothing: 'It follows nothing that’s logged.',
  isCut: 'Cut by hand from what came before.',
  follows: {
    touching: (code) => `Right after the one at ${code}.`,
    gap: (code) => `After the one at ${code}, with a gap.`,
    counter: (code) => `A counter to the one at ${code}.`,
    restart: (code) => `After the restart of the one at ${code}.`,
    set: (code) => `Set by hand after the one at ${code}.`,
    seam: (code) =>
      `The one at ${code} ended in a different position: something in between wasn’t logged, or one of them is wrong.`,
  } satisfies Record<string, (code: string) => string>,
  answers: (action: string, from: string, reaction: string): string =>
    `It answers “${reaction}” against ${action} from ${from}`,
  answersAction: (action: string): string => `It answers their ${action}`,
  cut: 'cut',
  set: (code: string): string => `it follows the one at ${code}`,
  asFound: 'as found',
} as const;

export const CLIP_TEXT = {
  watchHint: 'Pick a clip to watch it on a loop.',
  thisClip: 'this clip',
  sayHint: 'No clip in hand. {i} marks in, {o} marks out; then say what it is here.',
  inMarked: (code: string): string =>
    `In at ${code}. Press {o} where the clip ends, or {x} where a stretch ends that isn’t technique.`,
} as const;
