import type { FactValue, FactWord } from '../types.js';
import { spoken } from './spoken.js';

/** A value: what it says, other ways of saying it behind a colon, and in brackets how it is said of the other side where *their* before it is no English. */
const value = (key: string, says: string, texts = '', theirs?: string): FactValue => ({
  key,
  says,
  aliases: spoken(texts).aliases,
  ...(theirs === undefined ? {} : { theirs }),
});
const fact = (
  key: string,
  name: string,
  whose: FactWord['whose'],
  values: readonly FactValue[],
  more: Partial<Pick<FactWord, 'aliases' | 'families' | 'sided' | 'of'>> = {},
): FactWord => ({ kind: 'fact', key, name, aliases: [], whose, values, sided: false, families: [], ...more });

/** How the two of them stood. Values are in their order, from little to much; a fact without values is so or is not. */
// prettier-ignore
export const FACTS: readonly FactWord[] = [
  fact('posture', 'posture', 'opponent', [
    value('upright', 'posture upright', 'postured up | posture up | posture tall | sitting tall | back straight'),
    value('bent', 'posture bent', 'posture half broken | leaning in | hunched | posture low'),
    value('broken', 'posture broken', 'posture broken down | pulled down | folded down'),
  ], { of: 'top' }),
  fact('distance', 'distance', 'both', [
    value('close', 'close together', 'close range | short distance | close distance | distance close'),
    value('middle', 'at middle distance', 'mid range | middle range | mid distance | middle distance'),
    value('long', 'at long distance', 'long range | far apart | at a distance | long distance | distance long'),
  ]),
  fact('hips', 'hips', 'subject', [
    value('mat', 'hips on the mat', 'hips low | hips down | hips heavy | low hips'),
    value('off', 'hips off the mat', 'hips up | hips high | high hips'),
  ]),
  fact('hip-on-mat', 'hip on the mat', 'opponent', [
    value('down', 'hip on the mat', 'on one hip | on a hip | on their hip | hip down'),
    value('up', 'no hip on the mat', 'not on a hip', 'neither of their hips on the mat'),
  ], { sided: true, of: 'bottom' }),
  fact('back', 'back', 'opponent', [
    value('mat', 'back on the mat', 'flat on the back | flat on their back | flattened out | flattened | flat back | flat on the mat'),
    value('off', 'back off the mat', 'up on their side | on their side | back not flat | up on an elbow'),
    value('turned', 'back turned', 'turned away from us | back turned away | back to us', 'their back turned'),
  ], { of: 'bottom' }),
  fact('arms-inside', 'arms inside', 'subject', [
    value('none', 'no arm inside', 'no arms inside | both arms outside | arms outside', 'neither of their arms inside'),
    value('one', 'one arm inside', 'an arm inside', 'one of their arms inside'),
    value('both', 'both arms inside', 'arms inside | two arms inside', 'both their arms inside'),
  ], { sided: true }),
  fact('knees-inside', 'knees inside', 'subject', [
    value('none', 'no knee inside', 'no knees inside | knees outside', 'neither of their knees inside'),
    value('one', 'one knee inside', 'a knee inside', 'one of their knees inside'),
    value('both', 'both knees inside', 'knees inside | two knees inside', 'both their knees inside'),
  ], { sided: true }),
  fact('pass-stage', 'stage of the pass', 'both', [
    value('legs', 'at the legs', 'not past the feet | outside the feet'),
    value('knees', 'at the knees', 'past the feet | past their feet'),
    value('hips', 'at the hips', 'past the knees | past their knees'),
    value('past', 'past the hips', 'past their hips | all the way past | legs cleared'),
  ], { families: ['passing', 'open guard', 'half guard', 'closed guard'] }),
  fact('attacked-leg', 'attacked leg', 'opponent', [
    value('free', 'attacked leg free', 'leg free'),
    value('held', 'attacked leg held', 'leg held'),
    value('bent', 'attacked leg bent', 'leg bent'),
    value('straight', 'attacked leg straight', 'leg straight | leg straightened'),
    value('locked', 'attacked leg locked in', 'leg locked in'),
  ], { sided: true, families: ['leg entanglement'] }),
  fact('other-leg', 'other leg', 'opponent', [
    value('free', 'other leg free', 'free leg free | second leg free'),
    value('held', 'other leg held', 'second leg held | other leg trapped'),
  ], { sided: true, families: ['leg entanglement'] }),
  fact('knee-bend', 'how bent the knee is', 'opponent', [
    value('straight', 'knee straight', 'knee locked out'),
    value('half', 'knee half bent', 'knee a little bent'),
    value('bent', 'knee bent', 'knee fully bent | heel at the hip'),
  ], { sided: true }),
  fact('head', 'head', 'subject', [
    value('inside', 'head inside', 'head on the inside'),
    value('outside', 'head outside', 'head on the outside'),
    value('pinned', 'head pinned', 'head stuck | head on the mat | head pinned down'),
  ]),
  fact('space-behind', 'space behind', 'opponent', [
    value('none', 'no space behind', 'no room behind | nowhere to back up', 'no space behind them'),
    value('some', 'space behind', 'room behind | room to back up', 'space behind them'),
  ]),
  fact('near', 'near what', 'both', [
    value('edge', 'near the edge', 'at the edge | by the edge | near the boundary'),
    value('wall', 'near the wall', 'at the wall | by the wall | against the wall | against the fence'),
  ]),
  fact('weight', 'weight', 'opponent', [
    value('forward', 'weight forward', 'leaning forward | weight on the toes'),
    value('back', 'weight back', 'leaning back | weight on their heels'),
    value('left', 'weight left', 'weight to the left | weight on the left'),
    value('right', 'weight right', 'weight to the right | weight on the right'),
  ]),
  fact('tired', 'tired', 'subject', [
    value('yes', 'tired', 'worn out | blowing hard | breathing hard', 'they are tired'),
    value('no', 'fresh', 'not tired', 'they are fresh'),
  ]),
];
