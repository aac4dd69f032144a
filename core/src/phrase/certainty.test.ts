import { describe, expect, test } from '@jest/globals';
import { GYM_CONTEXT } from '../testing/gymTalk.js';
import { shippedWords } from '../vocabulary/index.js';
import { phraseFacts, readPhrase } from './index.js';

const words = shippedWords();
const partsOf = (text: string, status: string): readonly string[] =>
  phraseFacts(text, readPhrase(text, words, GYM_CONTEXT), words)
    .parts.filter((p) => p.status === status)
    .map((p) => `${p.part} ${p.key}`);

describe('what is asked though its letters are plain', () => {
  test.each([
    ['beside a word that nobody knows', 'half top, gravlock smash, failed', 'entry smash-pass'],
    ['behind a word that denies it', 'half guard top, knee slice, never worked', 'result success'],
    ['where a place may be what they did', 'closed guard bottom, triangle, stacked, failed', 'finish stack-hold'],
    ['where one word is hardly spelled so', 'closed guard bottom, sissr, failed', 'entry scissor-sweep'],
    ['as a slip of three letters', 'kos t, armbar, ok', 'position scarf-hold'],
    ['where it may be done to them', 'half guard bottom, flat and crossfaced, failed', 'grip face'],
    ['where the side stands apart', 'half guard bottom to deep half to top, waiter sweep', 'finish deep-half'],
    ['as half of a name before something else', 'half guard bottom, wrestlers sitout, ok', 'entry wrestle-up'],
    ['where its kind was left out', 'standing, headlock, mount, failed', 'entry head-and-arm-throw'],
    ['of whoever is the other side', 'marco half guard top, theo deep half, waiter sweep, ok', 'entry waiter-sweep'],
    ['where the side may be that of the end', 'hip bump from seated guard, on top, ok', 'position seated-guard'],
    ['where a place is told of them', 'sweep, they open guard top, failed', 'finish open-guard'],
    ['of nobody before anything was done', 'half guard top, frames, failed', 'reaction frames'],
    ['before what was told already', 'to mount from side control, knee on belly first, ok', 'finish knee-on-belly'],
    ['where it may be they who act', 'he has mount, goes for the americana, failed', 'entry bent-armlock'],
    ['where the order is turned', 'half guard top is where the leg drag ended', 'position half-guard'],
    ['behind where it ended', 'butterfly sweep to mount, he rolls me, closed guard bottom', 'position closed-guard'],
    ['behind *no*', 'half guard top, no knee slice, failed', 'entry knee-through'],
    ['behind what denies it', 'half guard bottom, I can’t get my underhook, failed', 'grip underarm'],
    ['where the other side rather does it', 'closed guard top, stands to open, swept', 'reaction sweep'],
    ['where it may be done to this side', 'knee on belly, armbar, stacked and passed', 'entry pass'],
    ['where it may be over a place', 'leg lasso bottom, sweep over the closed guard, ok', 'finish closed-guard'],
    ['of who is above', 'side control bottom, hip escape, gets guard back', 'reaction re-guards'],
    ['with a limb that may be the own one', 'scarf hold top, armlock with the legs, tap', 'grip thigh'],
    ['behind what is asked about', 'closed guard bottom, went for the ankles, sweep, ok', 'entry sweep'],
    ['where they did it', 'she passes my half guard with a knee slice, side control bottom', 'finish side-control'],
    ["where it can't begin", 'scissor from standing', 'entry scissor-sweep'],
    ['where it may be where it began', 'tripod sweep, feet on hips, ok', 'finish feet-on-hips'],
    ['where nobody knows how', 'butterfly bottom, they posted, and landed in mount', 'finish mount'],
    ['of nothing that was told', 'everything worked today', 'result success'],
    ['where it is no place', 'my back hurt, armbar, failed', 'position back'],
    ['of what was before', 'back take off a failed double leg', 'result failed'],
    ['where this side may have done it', 'back bottom, hip escape, turn into half guard', 'reaction turns-away'],
    ['where either side may', 'half guard top, they get the underhook, whizzer, knee slice', 'reaction overhooks'],
    ['where they may not have got to', 'side control bottom, he goes for mount', 'finish mount'],
    ['with what', 'shoulder throw, he blocks with his hip, standing', 'grip hip'],
    ['of what is done', 'body triangle on the back, worked the neck', 'result success'],
    ['where they stand', 'arm drag, took the back standing', 'reaction stands'],
    ['as a reason of what has not ended', 'no space, triangle, failed', 'reason no-space'],
  ])('when it stands %s, it should be asked', (_, text, part) => {
    expect(partsOf(text, 'asked')).toContain(part);
  });

  test('when it is told who did it to whom, nobody else should have done it', () => {
    expect(partsOf('she sweeps me, mount bottom', 'certain')).toEqual(['reaction sweep', 'finish mount']);
    expect(partsOf('he gets my back, I defend the choke and turn in', 'certain')).toContain('entry turn-in');
    expect(partsOf('he turtles, seat belt, back take', 'certain')).toContain('grip seat-belt');
    expect(partsOf('side control bottom, got my knee in', 'certain')).not.toContain('reaction knee-in');
    expect(partsOf('marco side control top, theo hip escapes', 'certain')).toContain('reaction hip-escape');
    expect(partsOf('he held my ankle the entire time, standing, no pass', 'asked')).toEqual([]);
    expect(partsOf('knee cut, they underhook, knee cut stopped, failed', 'certain')).toContain('result failed');
  });

  test('when they tap to what is told behind it, it should be one attempt', () => {
    const { parts } = readPhrase('over under pass, he turtles, tap rnc', words, GYM_CONTEXT);
    const of = (part: string): number | undefined => parts.find((p) => p.meant.part === part && p.attempt > 0)?.attempt;
    expect([of('result'), of('entry')]).toEqual([1, 1]);
  });

  test('when why is told of what worked, it should stay in the note', () => {
    const text = 'half guard top, knee slice, side control, ok. He turned in late.';
    expect(readPhrase(text, words, GYM_CONTEXT).notes.map((n) => n.text)).toEqual(['He turned in late']);
  });

  test('when nothing around it leaves it open, it should be certain', () => {
    expect(partsOf('half guard top, smash pass, they frame, side control, worked', 'certain')).toEqual([
      'position half-guard',
      'entry smash-pass',
      'reaction frames',
      'finish side-control',
      'result success',
    ]);
  });

  test('when it is told whose it is, whoever is told of should have done it', () => {
    expect(partsOf('he defended my kneebar and came on top', 'certain')).toEqual([
      'result failed',
      'entry kneelock',
      'reaction sweep',
    ]);
    expect(partsOf('theo sweeps marco from x guard', 'certain')).toEqual(['who b', 'entry sweep', 'position x-guard']);
    expect(partsOf('he left his arm out, armbar', 'certain')).not.toContain('grip arm');
  });

  test('when only a name is understood of a line, nothing should be kept; when it is the line, whose it is', () => {
    expect(phraseFacts('theo felt sore', readPhrase('theo felt sore', words, GYM_CONTEXT), words).parts).toEqual([]);
    expect(partsOf('theo', 'certain')).toEqual(['who b']);
  });

  test('when words are known and all the same no part of it, they should stay in the note unasked', () => {
    for (const text of ['mount top, wait for the elbow, armbar, tap', 'side control bottom, frame and hip escape, ok'])
      expect(partsOf(text, 'asked')).toEqual([]);
    expect(partsOf('half guard top, could have passed, knee slice, ok', 'certain')).toEqual([
      'position half-guard',
      'entry knee-through',
      'result success',
    ]);
  });
});

test('when nobody said the side, it should be that of whoever was under it or above', () => {
  const rolesOf = (text: string): readonly string[] =>
    readPhrase(text, words, GYM_CONTEXT).parts.flatMap(({ meant }) =>
      meant.part === 'finish' && meant.finish.kind === 'state'
        ? [`${meant.finish.position}/${meant.finish.role}`]
        : meant.part === 'position'
          ? [`${meant.place.position}/${meant.place.role}`]
          : [],
    );
  expect(rolesOf('single leg, they sprawl, front headlock')).toContain('front-headlock/bottom');
  expect(rolesOf('standing, snap down, front headlock')).toContain('front-headlock/top');
  expect(rolesOf('single leg, they sprawl, front headlock for them')).toContain('front-headlock/bottom');
  expect(rolesOf('passing half guard, knee slice')).toEqual(['half-guard/top']);
});
