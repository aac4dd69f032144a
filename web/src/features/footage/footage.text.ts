import type { Footage, Setting, SoundTrack } from '@odograph/core';

export const SETTING_WORDS: Record<Setting, string> = {
  competition: 'competition',
  training: 'training',
  demonstration: 'demonstration',
};

export const FOOTAGE_TEXT = {
  clothing: { gi: 'gi', 'no-gi': 'no-gi' },
  around: { '': 'not said', open: 'open mat', edge: 'an edge', wall: 'a wall' },
  audiences: { academy: 'the academy', coaches: 'coaches only' },
  title: 'Footage',
  take: 'Add footage',
  drop: 'Drop video files anywhere on this page.',
  dropHere: 'Let go to add it.',
  emptyTitle: 'No footage yet',
  empty:
    'Everything starts with a match, a round or a demonstration on video. Drop a video here, say who is who, and break it down.',
  doubts: (n: number): string => (n === 1 ? '1 doubt to settle' : `${n} doubts to settle`),
  toBin: 'Move to bin',
  coming: 'Coming in',
  pause: 'Pause',
  goOn: 'Go on',
  chooseAgain: 'Choose the file',
  sayWhat: 'Say what it is',
  anotherCamera: 'Another camera of',
  goTo: (title: string): string => `Go to “${title}”`,
  giveUp: 'Cancel upload',
  reallyDrop: 'Yes, cancel it',
  offList: 'Dismiss',
  cutOff: 'The recording breaks off: the file was cut short. You can break down what there is.',
  heard: 'Sound',
  track: (n: number, { title, language, channels }: SoundTrack): string =>
    [`track ${n + 1}`, title, language, channels > 1 ? `${channels} channels` : '']
      .filter((part) => part !== '')
      .join(', '),
  jobEnd: 'Stop',
  jobAgain: 'Try again',
  newTitle: 'Who’s who?',
  partOfFile: (name: string, from: number, to: number): string =>
    `Frames ${from.toLocaleString()} to ${(to - 1).toLocaleString()} of ${name}. The file is kept once, whatever it shows.`,
  editTitle: 'Footage sheet',
  save: 'Add to library',
  saveEdit: 'Save',
  cancel: 'Cancel',
  name: 'Title',
  first: 'First athlete (us)',
  second: 'Second athlete (them)',
  kit: 'told apart by',
  kitHint: 'for instance: white jacket, violet belt',
  setting: 'Setting',
  gi: 'Clothing',
  logged: 'What will you clip?',
  throughout: 'every attempt, both sides',
  picked: 'highlights only',
  loggedMeans: (logged: Footage['logged'] | ''): string =>
    logged === 'throughout'
      ? 'The map can say how often things work.'
      : logged === 'picked'
        ? 'Good for teaching. No success rates: highlights are mostly what worked.'
        : 'Success rates need every attempt, the failed ones too.',
  date: 'Date',
  ruleset: 'Rules',
  rulesetHint: 'points, five minutes',
  level: 'Level',
  levelHint: 'adults, violet belts, under 76 kg',
  place: 'Place',
  speaker: 'Who’s talking on it',
  speakerHint: 'nobody',
  surroundings: 'Around the mat',
  audience: 'Who may see it',
  notShown: (names: readonly string[]): string =>
    `Students can’t see it yet: nobody has said that ${names.join(' and ')} agreed to be shown.`,
  hasAgreed: (name: string): string =>
    `${name} has agreed to be shown to the academy (for a minor, their guardians have)`,
  context: 'Anything that skews the numbers',
  skewedBy: 'Why they say less',
  skews: {
    '': 'nothing',
    injury: 'an injury',
    size: 'one was much bigger',
    tired: 'one was tired',
    'met before': 'they’d met before',
    exhibition: 'an exhibition',
    'held back': 'one held back',
  },
  counted: 'In the numbers',
  counts: { yes: 'counts', no: 'left out' },
  live: 'Training',
  lives: { yes: 'live', no: 'staged' },
  contextHint: 'an injury, a handicap, a round begun from a position',
  consent: 'Only film people who’ve agreed to it; for minors, their guardians decide.',
} as const;

export const SHELF_TEXT = {
  noDay: 'day not said',
  breakDownOf: (title: string) => `Break down ${title}`,
  clipsOf: (title: string) => `Clips of ${title}`,
  and: ' and ',
  facts: (setting: string, isGi: boolean, day: string, logged: string) =>
    `${setting}, ${isGi ? 'gi' : 'no-gi'}, ${day}, logged ${logged}`,
  technique: (of: string, all: string) => `, ${of} of ${all} technique`,
  theCourseItTook: (name: string) => `The course it took for ${name}; up is better`,
  clipCount: (n: number) => (n === 0 ? 'no clips yet' : n === 1 ? '1 clip' : `${n} clips`),
  drafts: (n: number) => (n === 1 ? '1 draft' : `${n} drafts`),
  marksWaiting: (n: number) => (n === 1 ? '1 mark waits' : `${n} marks waiting`),
  footageSheet: 'Footage sheet',
  breakDown: 'Break down',
  clips: 'Clips',
} as const;
