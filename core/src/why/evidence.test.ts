import { describe, expect, test } from '@jest/globals';
import { BARE_HOLD, EVIDENCE_HOWS, type Attempt, type Control, type Teller } from '../attempts/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { anglesNeeded, evidenceOf, guessesIn, partsOf, sayEvidence, sayPart, withEvidence } from './index.js';

const words = shippedWords();
const hidden: Control = {
  ...BARE_HOLD,
  ...{ id: 'k', holder: 'subject', limb: 'hand', limbSide: 'left', kind: 'grip', target: 'collar' },
  ...{ targetOwner: 'own', targetSide: null, cloth: true, hidden: true },
};
/** The rear choke of the fifth example, told further. */
const choke: Attempt = {
  ...attemptOf(TOLD.find((t) => t.id === '10')!),
  facts: [{ id: 'f', fact: 'knees-inside', value: 'both', side: null, whose: 'opponent', when: 'start' }],
  controls: [hidden],
  evidence: [{ part: 'result', how: 'felt', proof: { kind: 'clip', clipId: 'second camera' }, by: null }],
};

describe('how a detail is known', () => {
  test('when a hold cannot be seen and nothing shows it, another angle should be needed for it, and not for what has its proof', () => {
    expect(anglesNeeded([choke]).map(({ part, how }) => [part, how])).toEqual([['control:k', 'hidden']]);
  });

  test('when the proof comes, nothing should be needed; when it goes, it should be again', () => {
    const proof = { kind: 'frame', angleId: 'two', frame: 99 } as const;
    const proved = {
      ...choke,
      evidence: withEvidence(choke.evidence, { part: 'control:k', how: 'hidden', proof, by: null }),
    };
    expect(anglesNeeded([proved])).toEqual([]);
    const unproved = {
      ...choke,
      evidence: withEvidence(choke.evidence, { part: 'result', how: 'told', proof: null, by: null }),
    };
    expect(anglesNeeded([unproved]).map(({ part }) => part)).toEqual(['result', 'control:k']);
    expect(withEvidence(choke.evidence, { part: 'result', how: 'seen', proof: null, by: null })).toEqual([]);
  });

  test('who says so should be told with it, and stay known while it waits for another angle', () => {
    const by = { kind: 'person', personId: 'p' } as const;
    const names = ({ kind }: Teller): string | null => (kind === 'person' ? 'Mara' : null);
    const said = EVIDENCE_HOWS.map((how) => sayEvidence({ how, by }, names));
    expect(said).toEqual([
      ...['seen by Mara', 'partly hidden, says Mara', 'not seen, says Mara', 'concluded by Mara'],
      ...['felt or heard by Mara', 'told by Mara'],
    ]);
    expect(sayEvidence({ how: 'told', by: { kind: 'account', accountId: 'gone' } }, names)).toBe('told by somebody');
    const told = { ...choke, controls: [], evidence: [{ part: 'result', how: 'told', proof: null, by } as const] };
    expect(anglesNeeded([told]).map((needed) => needed.by)).toEqual([by]);
    expect(withEvidence([], { part: 'result', how: 'seen', proof: null, by })).toHaveLength(1);
  });

  test('when a detail is gone, what was said of it should say nothing; partly hidden needs no other angle', () => {
    const gone: Attempt = {
      ...choke,
      controls: [],
      evidence: [{ part: 'control:k', how: 'felt', proof: null, by: null }],
    };
    expect(evidenceOf(gone)).toEqual([]);
    expect(anglesNeeded([{ ...gone, evidence: [{ part: 'action', how: 'partly', proof: null, by: null }] }])).toEqual(
      [],
    );
  });

  test('a guess should wait until somebody says that it is so, or it isn’t; one whose detail is gone is none', () => {
    const link = (id: string, isSure: boolean, from = 'control:k'): Attempt['links'][number] => ({
      ...{ id, kind: 'enables', isSure },
      ...{ from: { attemptId: null, part: from }, to: { attemptId: null, part: 'result' } },
    });
    const links = [link('sure', true), link('guess', false), link('gone', false, 'control:no more')];
    expect(guessesIn([{ ...choke, links }])).toEqual([{ attemptId: choke.id, link: links[1], at: choke.end }]);
    expect(guessesIn([choke])).toEqual([]);
  });

  test('every detail should have words, in the order of the sentence', () => {
    expect(partsOf(choke).map((part) => sayPart(choke, part, words))).toEqual([
      'back, attacker',
      'both their knees inside',
      'left hand on own collar',
      'rear choke',
      'hold the choking hand',
      'ends in back, attacker',
      'failed',
    ]);
    expect(sayPart(choke, 'fact:gone', words)).toBeUndefined();
  });
});
