import type { Role } from '../vocabulary/index.js';

export type Side = 'left' | 'right';

/** A position as its subject sees it: a place on the map. */
export type State = { readonly position: string; readonly role: Role };

/** An instant as it was seen: a frame of the angle's file, its presentation time in ticks of the file's time base beside it. */
export type Instant = { readonly frame: number; readonly pts: number };
