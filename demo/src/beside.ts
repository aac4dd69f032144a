import {
  BARE_PRINCIPLE,
  BARE_TODO,
  readRequired,
  readScope,
  shippedWords,
  type Principle,
  type Shape,
  type Todo,
} from '@odograph/core';
import type { NewDrawing, NewPrinciple, NewTodo } from '@odograph/core/contract';
import { seededId } from './ids.js';
import type { DemoClip, DemoFootage } from './library.js';

const words = shippedWords();

/** A principle in the words in which it would be typed; a script that says nothing is wrong. */
const principle = (
  sentence: string,
  { where, what, ...more }: { readonly where: string; readonly what: string } & Partial<Principle>,
): NewPrinciple => {
  const [scope, asked] = [readScope(where, words), readRequired(what, words)];
  if (scope.notUnderstood.length + asked.notUnderstood.length || (!asked.value.pattern && asked.value.answer === null))
    throw new Error(`the demo's "${where}: ${what}" was not understood`);
  return {
    ...{ ...BARE_PRINCIPLE, strength: 'required', scope: scope.value, ...asked.value, sentence },
    ...more,
    ...{ editId: seededId(`edit principle ${sentence}`), id: seededId(`principle ${sentence}`) },
  };
};

/** What the coach of the demo holds to be so; the last two clash. */
const principles = (): readonly NewPrinciple[] => [
  principle('Hips low when the knee goes through', { where: 'knee slice', what: 'hips low' }),
  principle('Break their posture before you attack', { where: 'closed guard bottom', what: 'their posture broken' }),
  principle('When the hands go to the collar, the arm is there', {
    ...{ where: 'mount top, they bring their hands to the collar', what: 'armbar', strength: 'usual' },
  }),
  principle('Stay with the collar and make the hands tired', {
    ...{ where: 'mount top, they bring their hands to the collar', what: 'collar choke', strength: 'usual' },
    view: { kind: 'speaker', name: 'the guard class' },
  }),
];

/** Nine were announced in the class, by what they show; one of them is on no clip. */
const ANNOUNCED: readonly (readonly [name: string, nth: number | null])[] = [
  ['lapel sweep', 0],
  ['back take off the lapel', 1],
  ['sliding collar', 2],
  ['guard back from the leg drag', 3],
  ['scissor sweep', 4],
  ['choke from mount', 5],
  ['hip bump, the wrong way', 6],
  ['hip bump, the right way', 7],
  ['triangle when they stack', null],
];

/** What stands on the lists of the demo. */
const todos = (footage: readonly DemoFootage[]): readonly NewTodo[] => {
  const of = (id: string): DemoFootage => footage.find((f) => f.bout.id === id)!;
  const [evening, lesson] = [of('lantern-final'), of('guard-class')];
  const todo = (text: string, more: Partial<Todo> & Pick<Todo, 'kind' | 'opened'>): NewTodo => ({
    ...{ ...BARE_TODO, text },
    ...more,
    ...{ editId: seededId(`edit todo ${text}`), id: seededId(`todo ${text}`) },
  });
  const at = (f: DemoFootage, frame: number) => ({
    footageId: f.footageId,
    at: { angleId: f.cameras[0]!.angleId, frame },
  });
  const clip = (f: DemoFootage, nth: number): DemoClip => f.clips[nth]!;
  const near = clip(evening, 6);
  const last = clip(evening, 12);
  return [
    todo('Everything that was announced at the start of the guard class', {
      ...{ kind: 'announced', opened: lesson.bout.date, said: ANNOUNCED.length, ...at(lesson, 0) },
      parts: ANNOUNCED.map(([name, nth]) => ({
        ...{ id: seededId(`announced ${name}`), name, isCutOff: false },
        clipId: nth === null ? null : clip(lesson, nth).clipId,
      })),
    }),
    todo('Hip bump when they lean back, off to the side of the post', {
      ...{ kind: 'try', opened: evening.bout.date, by: 'the final round' },
      ...{ state: { position: 'closed-guard', role: 'bottom' }, action: 'hip-bump' },
    }),
    todo('Where does the second hand go once the elbow is under the chin?', {
      ...{ kind: 'question', opened: evening.bout.date, by: evening.athletes[1].name, clipIds: [near.clipId] },
      ...at(evening, near.commitFrame),
    }),
    todo('Let the collar go, take the arm', {
      ...{ kind: 'advice', opened: evening.bout.date, by: 'the corner', personIds: [evening.athletes[1].id] },
      ...{ ...at(evening, last.startFrame - 20), followed: 'yes' },
    }),
  ];
};

/** What is drawn on the near finish: the arm under the chin, where it pulls, and the leg that keeps the hips there. */
const drawings = (footage: readonly DemoFootage[]): readonly NewDrawing[] => {
  const evening = footage.find((f) => f.bout.id === 'lantern-final')!;
  const frame = evening.clips[6]!.commitFrame;
  const shape = (
    kind: Shape['kind'],
    points: readonly (readonly [x: number, y: number])[],
    { text = '', whose = 'b' }: Partial<Shape> = {},
  ): Shape => ({
    ...{ id: seededId(`shape ${kind} ${text}`), kind, text, whose, order: null },
    points: points.map(([x, y]) => ({ x, y })),
  });
  const wide = [
    [0.674, 0.543],
    [0.5, 0.404],
    [0.418, 0.564],
  ] as const;
  return [
    {
      ...{ editId: seededId('edit drawing near finish'), id: seededId('drawing near finish') },
      ...{ angleId: evening.cameras[0]!.angleId, fromFrame: frame, toFrame: frame + 12, holdMs: 2000, track: [] },
      shapes: [
        shape('circle', [
          [0.6, 0.26],
          [0.665, 0.26],
        ]),
        shape('arrow', [
          [0.62, 0.4],
          [0.72, 0.32],
        ]),
        shape('angle', wide),
        shape('label', [[0.7, 0.16]], { text: 'the second hand is late', whose: null }),
      ],
    },
  ];
};

/** What the coach of the demo has written down beside the attempts. */
export const besideRequests = (
  footage: readonly DemoFootage[],
): {
  readonly principles: readonly NewPrinciple[];
  readonly todos: readonly NewTodo[];
  readonly drawings: readonly NewDrawing[];
} => ({
  principles: principles(),
  todos: todos(footage),
  drawings: drawings(footage),
});
