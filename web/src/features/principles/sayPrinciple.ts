import { sayPattern, type Principle, type Words } from '@odograph/core';
import { PRINCIPLES_TEXT as T } from './principles.text.js';

/** What a principle asks for, in words; null where it asks for nothing that can be looked up. */
export const sayAsked = ({ pattern, answer }: Pick<Principle, 'pattern' | 'answer'>, words: Words): string | null =>
  pattern ? sayPattern(pattern, words) : answer === null ? null : T.answer(words.name('action', answer));

/** Whose a principle is, in words: whose habit, whose view, whether it is another one; nothing where it is simply the academy's. */
export const sayWhose = (
  { habitOf, view, standing }: Principle,
  nameOf: (id: string) => string,
  accountId: string | undefined,
): readonly string[] => {
  const ofView = (): readonly string[] => {
    switch (view.kind) {
      case 'academy':
        return [];
      case 'account':
        return [view.accountId === accountId ? T.myView : T.view(T.coach)];
      case 'person':
        return [T.view(nameOf(view.personId))];
      case 'speaker':
        return [T.view(view.name)];
    }
  };
  return [
    ...(habitOf === null ? [] : [T.of(nameOf(habitOf))]),
    ...ofView(),
    ...(standing === 'other' ? [T.other] : []),
  ];
};
