import type { ShapeKind } from '@odograph/core';

/** What is drawn, as it is picked. */
export const SHAPE_TEXT: Readonly<Record<ShapeKind, string>> = {
  arrow: 'arrow',
  line: 'line',
  region: 'area',
  circle: 'circle',
  angle: 'angle',
  label: 'words',
  number: 'number',
};

export const DRAWN_TEXT = {
  angle: (degrees: number): string => `${Math.round(degrees)}° in the picture`,
} as const;
