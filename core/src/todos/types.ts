import type { Role } from '../vocabulary/index.js';

export const TODO_KINDS = ['try', 'question', 'advice', 'announced', 'credit', 'find'] as const;
/** Something to try, a question that a clip answers, advice from the corner, what was announced, whose idea it was, what has to be found or filmed. */
export type TodoKind = (typeof TODO_KINDS)[number];
export const TODO_STATUSES = ['open', 'done', 'dropped'] as const;
export type TodoStatus = (typeof TODO_STATUSES)[number];
export const FOLLOWED = ['yes', 'no', 'could not'] as const;

/** One of the things that were announced; stored where a clip shows it. */
export type AnnouncedPart = {
  readonly id: string;
  readonly name: string;
  readonly clipId: string | null;
  /** The footage ends before it does. */ readonly isCutOff: boolean;
};

/** An entry of the lists that stay open. */
export type Todo = {
  readonly id: string;
  readonly version: number;
  readonly kind: TodoKind;
  readonly text: string;
  readonly status: TodoStatus;
  /** The day since which it is open, and the one by which it is to be done. */
  readonly opened: string;
  readonly due: string | null;
  /** Where it was said or seen. */
  readonly footageId: string | null;
  readonly at: { readonly angleId: string; readonly frame: number } | null;
  readonly clipIds: readonly string[];
  readonly personIds: readonly string[];
  /** Who asked, said or thought of it, as it's written. */ readonly by: string;
  /** The option that is tried, or looked for. */
  readonly state: { readonly position: string; readonly role: Role } | null;
  readonly action: string | null;
  readonly reaction: string | null;
  /** Of what is looked for: the action of theirs that it answers. */ readonly theirs: string | null;
  /** Of advice. */ readonly followed: (typeof FOLLOWED)[number] | null;
  /** Of what was announced: how many, and each of them. */
  readonly said: number | null;
  readonly parts: readonly AnnouncedPart[];
  /** Of credit: it may be seen outside those who log. */ readonly isShared: boolean;
};
