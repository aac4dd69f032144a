import type { Risk, SubmissionWord } from '../types.js';
import { spoken } from './spoken.js';

const CHOKE_CARE =
  'Can take consciousness in seconds. Tap early, let go at once; after a loss of consciousness lay on the side, no further training that day, medical help where breathing, speech or movement is not normal.';
const LOCK_CARE = 'Tap to the position, not to pain. Whoever locks adds pressure slowly and lets go at once.';
const TWIST_CARE =
  'Injures before it hurts: tap as soon as it is held. In class only in the form and at the level the instructor in the room allows; take the position, add nothing, let go. Never roll inside it on your own.';
const NECK_CARE =
  'Not in class unless the policy of the academy names the level. Loads the spine: tap at once, let go at once; numbness, weakness or neck pain is for a medical professional.';

const lock = (injures: string, pain: Risk['pain'] = 'warns late'): Risk => ({
  injures,
  class: 'joint lock',
  pain,
  care: LOCK_CARE,
});
const twist = (injures: string): Risk => ({ injures, class: 'twisting lock', pain: 'does not warn', care: TWIST_CARE });
const crush = (injures: string, care: string): Risk => ({
  injures,
  class: 'compression',
  pain: 'warns late',
  care: care + LOCK_CARE,
});
const choke = (injures: string, pain: Risk['pain'] = 'does not warn'): Risk => ({
  injures,
  class: 'choke',
  pain,
  care: CHOKE_CARE,
});
const spine = (injures: string): Risk => ({ injures, class: 'neck and spine', pain: 'does not warn', care: NECK_CARE });
const VESSELS = 'blood vessels of the neck';
const WINDPIPE_TOO = 'blood vessels and windpipe of the neck';

const submission = (key: string, name: string, risk: Risk, texts: string): SubmissionWord => ({
  kind: 'submission',
  key,
  name,
  risk,
  ...spoken(texts),
});

/** How it can be won: each with what it can injure, whether pain warns in time, and the care it wants. */
// prettier-ignore
export const SUBMISSIONS: readonly SubmissionWord[] = [
  submission('straight-armlock', 'straight armlock', lock('elbow', 'warns'), 'armlock | arm bar | armbar | straight armbar | ja: juji gatame | pt: chave de braco'),
  submission('inverted-armlock', 'inverted armlock', lock('elbow', 'warns'), 'inverted armbar | shoulder-pinned armlock | cutting armlock'),
  submission('double-wrist-lock', 'double wrist lock', lock('shoulder and elbow'), 'figure four behind the back | double wristlock | ja: gyaku ude garami'),
  submission('bent-armlock', 'bent armlock', lock('shoulder and elbow'), 'americana | paintbrush | keylock | key lock | figure four, palm up | top shoulder lock | ja: ude garami'),
  submission('leg-shoulder-lock', 'leg shoulder lock', lock('shoulder'), 'shoulder lock | shoulder lock with the legs | omoplata | ja: sankaku garami'),
  submission('wrist-lock', 'wrist lock', lock('wrist'), 'wristlock | ja: kote gatame | pt: mao de vaca'),
  submission('bicep-crush', 'biceps crush', crush('upper-arm muscle and elbow', 'Loads muscle and bone. '), 'upper-arm compression | bicep slicer | biceps slicer | arm crush'),
  submission('straight-shoulder-lock', 'straight shoulder lock', lock('shoulder and elbow'), 'stretched arm over the shoulder | armpit lock | ja: waki gatame'),
  submission('hammerlock', 'hammerlock', lock('shoulder'), 'arm behind the back lock'),
  submission('choke', 'choke', choke(WINDPIPE_TOO), 'strangle | ja: shime | pt: estrangulamento'),
  submission('leg-lock', 'leg lock', twist('knee, ankle and foot'), 'leglock | pt: chave de pe'),
  submission('triangle-choke', 'triangle choke', choke(VESSELS), 'triangle | ja: sankaku jime | pt: triangulo'),
  submission('reverse-triangle', 'reverse triangle', choke(VESSELS), 'inverted triangle | side triangle | ja: yoko sankaku'),
  submission('arm-triangle', 'arm-triangle choke', choke(VESSELS), 'arm triangle | head and arm choke | pt: katagatame | ja: kata gatame'),
  submission('rear-choke', 'rear choke', choke(WINDPIPE_TOO), 'rear naked choke | rear naked | rnc | short choke | pt: mata leao | ja: hadaka jime'),
  submission('collar-choke', 'cross collar choke', choke(VESSELS), 'collar choke | cross choke | x choke | ja: juji jime'),
  submission('sliding-collar-choke', 'sliding collar choke', choke(VESSELS), 'bow and arrow | bow and arrow choke | bow-and-arrow | ja: okuri eri jime'),
  submission('single-wing-choke', 'single-wing choke', choke(VESSELS), 'half wing choke | ja: kata ha jime'),
  submission('clock-choke', 'clock choke', choke(VESSELS), 'clock | pt: relogio'),
  submission('baseball-choke', 'baseball-grip choke', choke(VESSELS), 'baseball choke | baseball bat choke | baseball bat'),
  submission('lapel-choke', 'paper-cutter choke', choke(WINDPIPE_TOO, 'warns late'), 'paper cutter | bread cutter | lapel choke from the side | lapel choke | lapel round the neck'),
  submission('north-south-choke', 'north-south choke', choke(VESSELS), 'north south choke | ns choke | choke from north-south'),
  submission('front-arm-triangle', 'rolling head-and-arm choke', choke('blood vessels and joints of the neck'), 'anaconda | anaconda choke | front head-and-arm choke | roll-through choke'),
  submission('brabo-choke', 'brabo choke', choke('blood vessels and joints of the neck'), 'brabo | far-side head-and-arm choke'),
  submission('loop-choke', 'loop choke', choke(WINDPIPE_TOO, 'warns late'), 'loop | collar loop | looped lapel'),
  submission('thrust-choke', 'thrust choke', choke(WINDPIPE_TOO, 'warns'), 'fist choke | ja: tsukkomi jime'),
  submission('forearm-choke', 'sleeve choke', choke('windpipe of the neck', 'warns'), 'forearm choke | sleeve wheel choke | ja: sode guruma jime'),
  submission('front-choke', 'front choke', choke('windpipe, blood vessels and joints of the neck', 'warns late'), 'guillotine | front strangle | pt: guilhotina'),
  submission('arm-in-front-choke', 'arm-in front choke', choke('windpipe, blood vessels and joints of the neck', 'warns late'), 'arm-in guillotine | arm in guillotine | arm in'),
  submission('high-elbow-choke', 'high-elbow front choke', choke('windpipe, blood vessels and joints of the neck', 'warns late'), 'high elbow guillotine | no-arm front choke | no-arm guillotine'),
  submission('necktie-choke', 'necktie choke', choke('blood vessels and joints of the neck'), 'peruvian necktie | japanese necktie | leg-over neck choke'),
  submission('shin-choke', 'shin choke', choke('windpipe of the neck', 'warns late'), 'gogoplata | foot under the chin choke'),
  submission('scissor-choke', 'leg scissor choke', choke(VESSELS), 'legs round the neck choke | ja: jigoku jime'),
  submission('buggy-choke', 'buggy choke', choke(VESSELS), 'buggy | choke from under side control'),
  submission('smother', 'smother', choke('breathing', 'warns'), 'chest smother | mothers milk'),
  submission('straight-ankle-lock', 'straight ankle lock', lock('ankle and heel cord'), 'ankle lock | foot lock | straight foot lock | straight ankle | footlock | pt: botinha'),
  submission('foot-twist', 'foot twist', twist('ankle and knee ligaments'), 'toe hold | toehold | twisted foot'),
  submission('heel-twist', 'heel hook', twist('knee ligaments'), 'heelhook | twisting heel lock | heel twist'),
  submission('inside-heel', 'inside heel hook', twist('knee ligaments'), 'inside heelhook | ihh | inverted heel hook | inside heel'),
  submission('outside-heel', 'outside heel hook', twist('knee ligaments'), 'outside heelhook | ohh | regular heel hook | outside heel'),
  submission('straight-kneelock', 'straight knee lock', lock('knee'), 'knee bar | kneebar | leg bar | ja: hiza juji'),
  submission('hip-lock', 'split hip lock', lock('hip, groin and hamstring'), 'banana split | crotch ripper'),
  submission('electric-chair', 'electric chair', lock('hip, groin and hamstring'), 'lockdown groin lock'),
  submission('crab-lock', 'half crab', lock('knee, hip and lower back'), 'boston crab | back bend leg lock'),
  submission('calf-crush', 'calf slicer', crush('calf muscle and knee', 'Loads muscle and bone, and opens the knee. '), 'calf compression | calf crush | calf crusher'),
  submission('leg-knot-lock', 'leg knot lock', twist('knee ligaments'), 'z lock | leg knot'),
  submission('neck-crank', 'neck crank', spine('joints and discs of the neck'), 'can opener | head twist | crank | ja: kubi hishigi'),
  submission('spine-twist', 'twister', spine('joints and discs of the back and neck'), 'spine twist | spinal lock'),
];
