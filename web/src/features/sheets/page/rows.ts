import type { Interval, WayOn, Went } from '@odograph/core';
import { PAGE_TEXT as T } from './page.text.js';

/** A line of a sheet: what it says, how often that was, and the attempts behind it. */
export type SheetRow = {
  readonly key: string;
  readonly name: string;
  readonly count: string;
  readonly interval?: Interval | undefined;
  /** Said under it. */ readonly more?: string | undefined;
  readonly attemptIds: readonly string[];
  /** Of a line of the map: what a route can go along. */ readonly line?: WayOn | undefined;
  /** Where more is said of it. */ readonly sheet?: string;
};

/** The address of a sheet. */
export const sheetOf = (kind: 'entry' | 'hold' | 'reaction', of: string): string =>
  `/map/${kind}?of=${encodeURIComponent(of)}`;

/** A row that tells how attempts went. */
export const wentRow = (
  key: string,
  name: string,
  { n, worked, seen, interval, attemptIds }: Went,
  more?: string,
): SheetRow => ({ key, name, count: T.went(worked, n, seen), interval, more, attemptIds });

/** Attempts of one half of a table of with and without. */
export const sum = ({ worked, not }: { readonly worked: number; readonly not: number }): number => worked + not;
