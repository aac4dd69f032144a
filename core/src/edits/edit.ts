import type { Attempt, Clip } from '../attempts/index.js';
import type { Collection } from '../collections/index.js';
import type { Drawing } from '../drawings/index.js';
import type { Moment } from '../moments/index.js';
import type { Person } from '../people/index.js';
import type { Plan } from '../plans/index.js';
import type { Principle } from '../principles/index.js';
import type { AcademyPolicy, KeptRoute } from '../teaching/index.js';
import type { Todo } from '../todos/index.js';
import type { AliasLines, AngleFields, AthleteRef, Binned, FootageFields, PersonFields } from '../contract/index.js';
import type { WordChange } from '../vocabulary/index.js';

export type AttemptChanges = Partial<Omit<Attempt, 'id' | 'version' | 'footageId' | 'angleId'>>;
export type ClipChanges = Partial<Omit<Clip, 'id' | 'version' | 'attemptId' | 'angleId'>>;
export type MomentChanges = Partial<Pick<Moment, 'at' | 'attemptId' | 'state' | 'subject' | 'note'>>;
export type PrincipleChanges = Partial<Omit<Principle, 'id' | 'version'>>;
export type TodoChanges = Partial<Omit<Todo, 'id' | 'version' | 'kind' | 'opened'>>;
export type DrawingChanges = Partial<Omit<Drawing, 'id' | 'version' | 'footageId' | 'angleId'>>;
export type CollectionChanges = Partial<Omit<Collection, 'id' | 'version'>>;
export type PolicyChanges = Partial<Omit<AcademyPolicy, 'id' | 'version'>>;
export type PlanChanges = Partial<Pick<Plan, 'name'>>;
export type RouteChanges = Partial<Pick<KeptRoute, 'name' | 'steps' | 'branches' | 'forLevel' | 'forAge'>>;
/** A person who is not there yet is made with the name given. */
export type FootageChanges = Partial<FootageFields> & {
  readonly athleteA?: AthleteRef;
  readonly athleteB?: AthleteRef;
};

/** Fields of one record, as they are to be. Instants carry their presentation times, so that it is known what the record will be without asking. */
type FieldEdit<Kind extends string, Changes> = { readonly kind: Kind; readonly id: string; readonly changes: Changes };

/** A clip with the attempt that it looks at. */
export type MadeClip = { readonly attempt: Attempt; readonly clip: Clip };

/** What can be taken away: into the bin, or, where that has no room for it, until undo. */
export type Removable = Binned | 'moment' | 'principle' | 'todo' | 'drawing' | 'plan' | 'collection';

/** What somebody does to the library, said once: `applyEdit` shows it, `requestOf` sends it. */
export type Doing =
  | ({ readonly kind: 'new clip' } & MadeClip)
  | { readonly kind: 'new clips'; readonly made: readonly MadeClip[] }
  /** One more clip of an attempt that is there. */
  | { readonly kind: 'new look'; readonly clip: Clip }
  | { readonly kind: 'new moment'; readonly moment: Moment }
  | { readonly kind: 'new person'; readonly person: Person }
  | { readonly kind: 'new route'; readonly route: KeptRoute }
  | { readonly kind: 'new principle'; readonly principle: Principle }
  | { readonly kind: 'new todo'; readonly todo: Todo }
  | { readonly kind: 'new drawing'; readonly drawing: Drawing }
  | { readonly kind: 'new collection'; readonly collection: Collection }
  | { readonly kind: 'new policy'; readonly policy: AcademyPolicy }
  | { readonly kind: 'new plan'; readonly plan: Plan }
  | FieldEdit<'attempt', AttemptChanges>
  | FieldEdit<'clip', ClipChanges>
  | FieldEdit<'angle', Partial<AngleFields>>
  | FieldEdit<'footage', FootageChanges>
  | FieldEdit<'person', Partial<PersonFields>>
  | FieldEdit<'route', RouteChanges>
  | FieldEdit<'moment', MomentChanges>
  | FieldEdit<'principle', PrincipleChanges>
  | FieldEdit<'todo', TodoChanges>
  | FieldEdit<'drawing', DrawingChanges>
  | FieldEdit<'plan', PlanChanges>
  | FieldEdit<'policy', PolicyChanges>
  | FieldEdit<'collection', CollectionChanges>
  /** What is said of a word, whole. */
  | { readonly kind: 'word'; readonly change: WordChange }
  | { readonly kind: 'aliases'; readonly lines: AliasLines['lines'] }
  | { readonly kind: 'remove'; readonly what: Removable; readonly id: string }
  | { readonly kind: 'restore'; readonly what: Binned; readonly id: string }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' };

/** A doing with an id of its own, so that sending it twice does it once. */
export type LibraryEdit = Doing & { readonly editId: string };
