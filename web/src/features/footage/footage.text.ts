import type { Setting } from '@odograph/core';

export const SETTING_WORDS: Record<Setting, string> = {
  competition: 'competition',
  training: 'training',
  demonstration: 'demonstration',
};

export const FOOTAGE_TEXT = {
  title: 'Footage',
  take: 'Take in footage',
  drop: 'Drop video files anywhere on this page.',
  dropHere: 'Let go to take it in.',
  emptyTitle: 'No footage yet',
  empty:
    'Everything starts with a match, a round or a demonstration on video. Drop a video here, say who is who, and break it down.',
  emptyForStudents:
    'Nothing is here that may be shown to the whole academy yet. Your coaches say so for each person on the footage.',
  toBin: 'Put in the bin',
  coming: 'Coming in',
  pause: 'Pause',
  goOn: 'Go on',
  chooseAgain: 'Choose the file',
  sayWhat: 'Say what it is',
  anotherCamera: 'Another camera of',
  goTo: (title: string): string => `Go to “${title}”`,
  giveUp: 'Give up',
  reallyDrop: 'Really give it up',
  offList: 'Off the list',
  jobEnd: 'End it',
  jobAgain: 'Once more',
  newTitle: 'Who is who?',
  editTitle: 'Footage sheet',
  save: 'Put it on the shelf',
  saveEdit: 'Keep',
  cancel: 'Cancel',
  name: 'What it is called',
  first: 'First athlete (us)',
  second: 'Second athlete (them)',
  kit: 'told apart by',
  kitHint: 'for instance: white jacket, violet belt',
  setting: 'Setting',
  gi: 'Clothing',
  logged: 'Logged',
  loggedHint:
    'Throughout: every attempt of both sides gets a clip, so rates can be given. Picked: only some, so no rate follows.',
  date: 'Day',
  consent: 'Only people who agreed may be filmed; for minors their guardians.',
} as const;
