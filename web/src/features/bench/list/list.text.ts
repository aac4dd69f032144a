export const SIDES_TEXT = {
  label: 'Sides',
  tellings: { own: 'own', your: 'your, their', viewer: 'in the picture', landmark: 'by what stands there' },
  atLeft: 'at the left',
  atRight: 'at the right',
  landmarkHint: 'table',
  needsSeen: 'Say where each clip is seen from; until then, left and right are the athlete’s own.',
} as const;

export const LIST_TEXT = {
  label: 'Clips of this footage',
  more: 'More',
  less: 'Less',
  wears: (kit: string): string => ` in ${kit || 'kit not said'}`,
  marks: (n: number): string => (n === 1 ? '1 mark waiting' : `${n} marks waiting`),
  empty: 'No clips yet. Stop where something starts and press {i}, then {o} where it ends.',
  camera: 'Camera',
  count: (clips: number, drafts: number): string => {
    const all = clips === 1 ? '1 clip' : `${clips} clips`;
    return drafts === 0 ? all : `${all}, ${drafts === 1 ? '1 draft' : `${drafts} drafts`}`;
  },
  doubts: (n: number): string => (n === 1 ? '1 doubt' : `${n} doubts`),
  proposed: (n: number): string => `, ${n} with something proposed`,
  kept: (share: number): string =>
    share === 1
      ? 'The picture is in this browser: it plays without the server.'
      : `The picture comes into this browser: ${Math.floor(share * 100)} %.`,
  missing: { state: 'position', action: 'entry', result: 'result' },
} as const;

export const CLIPS_HERE_TEXT = {
  draftNotSaid: (missing: string) => ` (draft: ${missing} not said)`,
} as const;
