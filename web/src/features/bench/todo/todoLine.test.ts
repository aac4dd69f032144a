import { expect, test } from '@jest/globals';
import { todoSaid } from './todoLine.js';

test.each([
  ['try the back step', { kind: 'try', text: 'the back step' }],
  ['Advice: let the collar go', { kind: 'advice', text: 'let the collar go' }],
  ['film this from the other side', { kind: 'find', text: 'this from the other side' }],
  ['where does the hand go?', { kind: 'question', text: 'where does the hand go?' }],
  ['try', { kind: 'question', text: 'try' }],
  ['2 hands or one?', { kind: 'question', text: '2 hands or one?' }],
  ['   ', undefined],
])('when it is said "%s", it should stand on the list as that', (typed, said) => {
  expect(todoSaid(typed)).toEqual(said);
});
