import type { ShapeKind } from '@odograph/core';

const POINTS: Readonly<Record<ShapeKind, readonly string[]>> = {
  arrow: ['from where', 'to where'],
  line: ['from where', 'on, or enter again to end it'],
  region: ['first corner', 'next corner', 'next corner, or enter again to end it'],
  circle: ['middle', 'how far round'],
  angle: ['one side', 'the joint', 'the other side'],
  label: ['where'],
  number: ['where'],
};

/** The key of each, while somebody draws. */
export const SHAPE_KEYS: Readonly<Record<ShapeKind, string>> = {
  arrow: 'a',
  line: 'l',
  region: 'r',
  circle: 'c',
  angle: 'v',
  label: 't',
  number: 'n',
};

export const DRAWING_TEXT = {
  tool: (name: string, key: string): string => `${name} (${key.toUpperCase()})`,
  drawing: 'Draw on this picture',
  tools: 'What to draw',
  next: (kind: ShapeKind, set: number): string => POINTS[kind][Math.min(set, POINTS[kind].length - 1)]!,
  whose: 'Whose',
  nobody: 'nobody’s',
  words: 'Words',
  hold: (ms: number): string => (ms === 0 ? 'not held' : `held ${ms / 1000} s`),
  holdLabel: 'How long it’s held when it plays',
  frames: (from: string, to: string): string => (from === to ? from : `${from} – ${to}`),
  shapes: (n: number): string => (n === 1 ? '1 shape' : `${n} shapes`),
  here: 'Drawn here',
  elsewhere: 'Other drawings',
  none: 'Nothing is drawn here yet.',
  goTo: (code: string): string => `To the drawing at ${code}`,
  on: 'drawings on',
  off: 'drawings off',
  picked: (what: string): string => `${what} picked`,
  record: 'Record the pointer',
  recording: 'Recording the pointer: stop',
  hasTrack: 'with the pointer’s way',
  surface: 'The picture, to draw on: arrows move the cross, enter sets a point',
  cross: (x: number, y: number): string => `${Math.round(x * 100)} across, ${Math.round(y * 100)} down`,
  remove: 'Remove the drawing',
} as const;
