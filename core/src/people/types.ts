export const AGES = ['adult', 'minor'] as const;

/** To whom pictures of a person may be shown: the coaches, everybody of the academy, anyone. */
export const AUDIENCES = ['coaches', 'academy', 'anyone'] as const;

export type Audience = (typeof AUDIENCES)[number];

/**
 * Somebody: an athlete on footage, a member of the room, the owner of an account, or all of them. What is not said is null; where it is not said to
 * whom pictures may be shown, only coaches see them.
 */
export type Person = {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly athlete: boolean;
  readonly member: boolean;
  readonly accountId: string | null;
  readonly level: string | null;
  readonly age: (typeof AGES)[number] | null;
  readonly filming: boolean | null;
  readonly shownTo: Audience | null;
};
