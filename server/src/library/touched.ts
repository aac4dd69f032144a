import type { Entity } from '@odograph/core';

/** Rows that an edit touched, so that the answer can carry them as they are now. */
export type Touched = ReadonlyMap<Entity, ReadonlySet<string>>;
