import type {
  ActionKind,
  ActionWord,
  Aim,
  ControlPattern,
  Family,
  PositionWord,
  ReactionWord,
  ReasonWord,
  Risk,
  Role,
  SubmissionWord,
  TargetWord,
  Word,
} from './types.js';

/*
 * The words that ship with the product, in one readable list. Keys are permanent: they stand in saved clips and are never renamed
 * or reused; names and aliases may be bettered. No word is a person's name.
 */

const position = (
  key: string,
  name: string,
  family: Family,
  roles: readonly Role[],
  height: number,
  aliases: readonly string[],
  more: {
    lead?: PositionWord['lead'];
    facing?: PositionWord['facing'];
    parent?: string;
    requires?: readonly ControlPattern[];
  } = {},
): PositionWord => ({
  kind: 'position',
  key,
  name,
  family,
  roles,
  height,
  aliases,
  lead: more.lead ?? null,
  facing: more.facing ?? 'facing',
  ...(more.parent === undefined ? {} : { parent: more.parent }),
  ...(more.requires === undefined ? {} : { requires: more.requires }),
});

const EVEN = ['even'] as const;
const BOTTOM = ['bottom', 'top'] as const;
const TOP = ['top', 'bottom'] as const;
const ATTACK = ['attacker', 'defender'] as const;

// prettier-ignore
const positions: readonly PositionWord[] = [
  position('standing', 'standing', 'standing', EVEN, 0, ['on the feet', 'neutral', 'stand-up']),
  position('clinch', 'collar-and-sleeve clinch', 'standing', EVEN, 0, ['clinch', 'gripped up', 'kumi kata']),
  position('over-under-clinch', 'over-under clinch', 'standing', EVEN, 0, ['one underhook each', 'pummelling tie', 'meio abraco']),
  position('two-on-one', 'two-on-one arm hold', 'standing', ATTACK, 0.8, ['two on one', 'arm drag hold', 'both hands on one arm'], { lead: { role: 'defender', limb: 'arm' } }),
  position('front-body-lock', 'front body lock', 'standing', ATTACK, 1.5, ['bear hug', 'locked round the waist from the front', 'chest to chest body lock']),
  position('single-leg-hold', 'single-leg hold', 'standing', ATTACK, 1.2, ['leg held standing', 'one leg up', 'single leg tie'], { lead: { role: 'defender', limb: 'leg' } }),
  position('rear-waist', 'rear waist hold', 'standing', ATTACK, 2, ['body lock from behind', 'rear clinch', 'waist ride'], { facing: 'same way' }),
  position('scramble', 'scramble', 'scramble', EVEN, 0, ['nothing settled', 'kneeling scramble', 'tie-up on the knees']),
  position('knees-underhook', 'underhook battle on the knees', 'scramble', EVEN, 0, ['kneeling underhook', 'wrestling up from half', 'knees and underhook']),
  position('open-guard', 'open guard', 'open guard', BOTTOM, 0.1, ['guarda aberta', 'open']),
  position('seated-guard', 'seated guard', 'open guard', BOTTOM, 0, ['sitting guard', 'sit-up guard', 'shin-to-shin guard'], { parent: 'open-guard' }),
  position('feet-on-hips', 'feet-on-hips guard', 'open guard', BOTTOM, 0.3, ['feet on hips', 'double foot on hip', 'hip guard'], { parent: 'open-guard' }),
  position('outside-hook', 'outside-hook guard', 'open guard', BOTTOM, 0.4, ['outside hook', 'leg hook guard', 'reverse hook'], { parent: 'open-guard', lead: { role: 'bottom', limb: 'leg' } }),
  position('two-sleeve', 'two-sleeve guard', 'open guard', BOTTOM, 0.5, ['double sleeve guard', 'both sleeves', 'sleeve guard'], { parent: 'open-guard', requires: [{ holder: 'bottom', limb: 'hand', kind: 'grip', target: 'sleeve', cloth: true, bothSides: true }] }),
  position('collar-sleeve', 'collar-and-sleeve guard', 'open guard', BOTTOM, 0.4, ['collar sleeve', 'collar and sleeve open guard', 'gola e manga'], { parent: 'open-guard', requires: [{ holder: 'bottom', limb: 'hand', kind: 'grip', target: 'collar', cloth: true, bothSides: false }] }),
  position('lapel-guard', 'lapel-wrap guard', 'open guard', BOTTOM, 0.5, ['lapel guard', 'lapel round the leg', 'guarda de lapela'], { parent: 'open-guard', lead: { role: 'top', limb: 'leg' } }),
  position('inverted-guard', 'inverted guard', 'open guard', BOTTOM, 0, ['upside down guard', 'guarda invertida', 'hips over the shoulders'], { parent: 'open-guard' }),
  position('leg-lift', 'leg-lift guard', 'open guard', BOTTOM, 0.6, ['single-leg lift guard', 'both feet under one leg', 'under-leg guard'], { parent: 'open-guard', lead: { role: 'top', limb: 'leg' } }),
  position('shin-across', 'shin-across guard', 'open guard', BOTTOM, 0.2, ['knee shield without the leg', 'shin guard', 'canela na frente'], { parent: 'open-guard', lead: { role: 'bottom', limb: 'leg' } }),
  position('butterfly', 'butterfly guard', 'open guard', BOTTOM, 0.5, ['hooks guard', 'double hook guard', 'guarda borboleta']),
  position('closed-guard', 'closed guard', 'closed guard', BOTTOM, 0.5, ['full guard', 'guarda fechada', 'legs locked']),
  position('high-guard', 'high closed guard', 'closed guard', BOTTOM, 0.9, ['high guard', 'legs over the shoulders', 'guarda alta'], { parent: 'closed-guard' }),
  position('half-guard', 'half guard', 'half guard', TOP, 1, ['half', 'meia guarda', 'one leg caught'], { lead: { role: 'top', limb: 'leg' } }),
  position('knee-shield', 'knee-shield half guard', 'half guard', TOP, 0.3, ['knee shield', 'z half guard', 'shield half'], { lead: { role: 'top', limb: 'leg' } }),
  position('deep-half', 'deep half guard', 'half guard', TOP, 0.2, ['deep half', 'under the hips half'], { lead: { role: 'top', limb: 'leg' } }),
  position('quarter-guard', 'quarter guard', 'half guard', TOP, 1.6, ['only the foot caught', 'quarter', 'knee through, foot caught'], { parent: 'half-guard', lead: { role: 'top', limb: 'leg' } }),
  position('reverse-half', 'reverse half guard', 'half guard', TOP, 1.2, ['facing the legs in half', 'backwards half guard'], { facing: 'same way', lead: { role: 'top', limb: 'leg' } }),
  position('fifty-fifty', 'fifty-fifty', 'leg entanglement', EVEN, 0, ['50/50', 'fifty fifty', 'mirrored legs'], { lead: { role: 'even', limb: 'leg' } }),
  position('straight-entanglement', 'straight leg entanglement', 'leg entanglement', ATTACK, 1.5, ['leg entanglement', 'ashi garami', 'single leg tangle'], { lead: { role: 'defender', limb: 'leg' } }),
  position('outside-entanglement', 'outside leg entanglement', 'leg entanglement', ATTACK, 1.6, ['outside ashi', 'both feet outside', 'soto ashi garami'], { lead: { role: 'defender', limb: 'leg' } }),
  position('inside-entanglement', 'inside leg entanglement', 'leg entanglement', ATTACK, 2.2, ['inside ashi', 'legs crossed inside', 'uchi ashi garami'], { lead: { role: 'defender', limb: 'leg' } }),
  position('backside-entanglement', 'far-side leg entanglement', 'leg entanglement', ATTACK, 1.4, ['backside leg tangle', 'far leg tangle', 'rolled-through tangle'], { lead: { role: 'defender', limb: 'leg' } }),
  position('split-leg', 'split-leg stance', 'passing', TOP, 0.5, ['split leg stance', 'knee between the legs', 'combat base pass'], { lead: { role: 'bottom', limb: 'leg' } }),
  position('over-under', 'over-under hold', 'passing', TOP, 0.8, ['over under', 'over-under pass hold'], { lead: { role: 'bottom', limb: 'leg' } }),
  position('stack-hold', 'stack hold', 'passing', TOP, 0.9, ['stacked', 'double under hold', 'hips over the head']),
  position('leg-drag-hold', 'leg dragged across', 'passing', TOP, 1.6, ['leg drag', 'legs to one side, chest on', 'perna puxada'], { lead: { role: 'bottom', limb: 'leg' } }),
  position('legs-free', 'legs free, no guard', 'passing', TOP, 1.2, ['past the legs', 'legs cleared', 'no guard']),
  position('front-headlock', 'front headlock', 'turtle', TOP, 1.5, ['head and arm from the front', 'sprawl headlock', 'snap-down hold']),
  position('turtle', 'turtle', 'turtle', TOP, 2, ['all fours', 'four point', 'kame'], { facing: 'same way' }),
  position('seat-belt-turtle', 'turtle with a seat belt', 'turtle', TOP, 2.6, ['seat belt on turtle', 'over and under from behind', 'chest on the back'], { parent: 'turtle', facing: 'same way' }),
  position('side-control', 'side control', 'pin', TOP, 2.5, ['side mount', 'cross body', 'cem quilos', 'yoko shiho gatame'], { facing: 'crossed', lead: { role: 'bottom', limb: 'side' } }),
  position('knee-on-belly', 'knee on belly', 'pin', TOP, 2.8, ['knee ride', 'knee on stomach', 'uki gatame'], { facing: 'crossed', lead: { role: 'bottom', limb: 'side' } }),
  position('north-south', 'north-south', 'pin', TOP, 2.5, ['north south', 'kami shiho gatame', 'head to head pin']),
  position('scarf-hold', 'scarf hold', 'pin', TOP, 2.3, ['kesa gatame', 'scarf', 'head and arm pin'], { facing: 'crossed', lead: { role: 'bottom', limb: 'side' } }),
  position('reverse-scarf', 'reverse scarf hold', 'pin', TOP, 2.2, ['ushiro kesa gatame', 'facing the legs'], { facing: 'crossed', lead: { role: 'bottom', limb: 'side' } }),
  position('mount', 'mount', 'pin', TOP, 3.5, ['full mount', 'montada', 'tate shiho gatame']),
  position('high-mount', 'high mount', 'pin', TOP, 3.9, ['knees in the armpits', 'montada alta'], { parent: 'mount' }),
  position('seated-mount', 'seated mount', 'pin', TOP, 3.7, ['technical mount', 's mount', 'one knee up mount'], { parent: 'mount', facing: 'crossed', lead: { role: 'bottom', limb: 'side' } }),
  position('reverse-mount', 'reverse mount', 'pin', TOP, 2.4, ['facing the feet on the chest', 'montada invertida'], { facing: 'same way' }),
  position('triangle-hold', 'triangle hold', 'closed guard', ATTACK, 3.5, ['locked triangle', 'legs triangle'], { lead: { role: 'attacker', limb: 'leg' } }),
  position('armlock-hold', 'armlock hold', 'pin', ATTACK, 4.5, ['arm across', 'armlock position'], { facing: 'crossed', lead: { role: 'defender', limb: 'arm' } }),
  position('crucifix', 'crucifix', 'back', ATTACK, 3.8, ['both arms caught', 'arms held by arms and legs', 'crucifixo'], { lead: { role: 'defender', limb: 'arm' } }),
  position('one-hook-back', 'back with one hook', 'back', ATTACK, 3, ['one hook in', 'half back', 'um gancho'], { parent: 'back', facing: 'same way', lead: { role: 'attacker', limb: 'leg' } }),
  position('legs-locked-back', 'back with the legs locked', 'back', ATTACK, 4.1, ['body triangle', 'legs locked round the body', 'triangulo no corpo'], { parent: 'back', facing: 'same way', lead: { role: 'attacker', limb: 'leg' } }),
  position('back', 'back', 'back', ATTACK, 4, ['back control', 'back mount', 'hooks in', 'costas'], { facing: 'same way', lead: { role: 'attacker', limb: 'arm' } }),
];

const to = (pos: string, role: Role): Aim => ({ position: pos, role });
const any = (family: Family, role: Role): Aim => ({ family, role });
const tap = (submission: string): Aim => ({ submission });

const action = (
  key: string,
  name: string,
  does: ActionKind,
  from: readonly Family[],
  aims: readonly Aim[],
  aliases: readonly string[],
): ActionWord => ({ kind: 'action', key, name, does, from, aims, aliases });

const GUARDS = ['open guard', 'closed guard', 'half guard'] as const;

// prettier-ignore
const actions: readonly ActionWord[] = [
  action('double-leg', 'double-leg takedown', 'takedown', ['standing', 'scramble'], [to('legs-free', 'top'), any('pin', 'top'), any('open guard', 'top')], ['double leg', 'double', 'morote gari', 'baiana']),
  action('single-leg', 'single-leg takedown', 'takedown', ['standing', 'scramble', 'open guard'], [to('legs-free', 'top'), any('pin', 'top')], ['single leg', 'single', 'high single']),
  action('ankle-pick', 'ankle pick', 'takedown', ['standing', 'scramble', 'open guard'], [any('open guard', 'top'), to('legs-free', 'top')], ['pick the ankle', 'kibisu gaeshi', 'low ankle']),
  action('outside-trip', 'outside trip', 'takedown', ['standing'], [any('pin', 'top'), any('open guard', 'top')], ['outer reap', 'osoto gari', 'varredura por fora']),
  action('inside-trip', 'inside trip', 'takedown', ['standing'], [any('half guard', 'top'), any('open guard', 'top')], ['inner reap', 'ouchi gari', 'kouchi gari']),
  action('foot-sweep', 'foot sweep', 'takedown', ['standing'], [any('open guard', 'top'), any('pin', 'top')], ['ashi barai', 'de ashi harai', 'rasteira']),
  action('hip-throw', 'hip throw', 'takedown', ['standing'], [to('scarf-hold', 'top'), any('pin', 'top')], ['o goshi', 'harai goshi', 'quedada de quadril']),
  action('shoulder-throw', 'shoulder throw', 'takedown', ['standing'], [any('pin', 'top')], ['seoi nage', 'drop shoulder throw', 'arm throw']),
  action('snap-down', 'snap down', 'takedown', ['standing', 'scramble'], [to('front-headlock', 'top')], ['pull the head down', 'front headlock entry', 'snap']),
  action('body-lock-takedown', 'body-lock takedown', 'takedown', ['standing'], [any('half guard', 'top'), any('pin', 'top')], ['body lock trip', 'waist lock takedown', 'abraco de urso']),
  action('arm-drag', 'arm drag', 'advance', ['standing', 'open guard', 'closed guard'], [to('rear-waist', 'attacker'), any('back', 'attacker')], ['drag the arm', 'pull past', 'puxada de braco']),
  action('guard-pull', 'guard pull', 'guard pull', ['standing', 'scramble'], [any('open guard', 'bottom'), any('closed guard', 'bottom')], ['pull guard', 'sit to guard', 'puxar']),
  action('jump-guard', 'jumping guard pull', 'guard pull', ['standing'], [to('closed-guard', 'bottom')], ['jump to closed guard', 'flying guard', 'pular na guarda']),
  action('hip-bump', 'hip-bump sweep', 'sweep', ['closed guard'], [to('mount', 'top')], ['hip bump', 'sit-up sweep', 'hip heist sweep']),
  action('scissor-sweep', 'scissor sweep', 'sweep', ['closed guard', 'half guard', 'open guard'], [to('mount', 'top')], ['scissor', 'scissors', 'tesoura']),
  action('overhead-sweep', 'overhead sweep', 'sweep', ['open guard'], [to('mount', 'top'), to('side-control', 'top')], ['balloon sweep', 'over the head sweep', 'tomoe']),
  action('flower-sweep', 'pendulum sweep', 'sweep', ['closed guard'], [to('mount', 'top')], ['flower sweep', 'swing the leg', 'raspagem de pendulo']),
  action('hook-sweep', 'hook sweep', 'sweep', ['open guard', 'half guard'], [any('half guard', 'top'), to('mount', 'top')], ['butterfly sweep', 'lift with the hook', 'sumi gaeshi']),
  action('ankle-grab-sweep', 'double ankle sweep', 'sweep', ['open guard', 'closed guard'], [any('open guard', 'top')], ['two ankles and push', 'lumberjack', 'hips into the knees']),
  action('tripod-sweep', 'tripod sweep', 'sweep', ['open guard'], [any('open guard', 'top')], ['heel and hip', 'push one pull one', 'tripe']),
  action('lift-sweep', 'leg-lift sweep', 'sweep', ['open guard'], [any('open guard', 'top'), to('legs-free', 'top')], ['stand up with the leg', 'single-leg lift sweep', 'technical lift']),
  action('lapel-sweep', 'lapel-wrap sweep', 'sweep', ['open guard', 'half guard'], [to('side-control', 'top'), to('mount', 'top')], ['sweep with the lapel', 'raspagem de lapela']),
  action('knee-lever', 'knee-lever sweep', 'sweep', ['half guard', 'open guard'], [any('half guard', 'top'), to('side-control', 'top')], ['lever the knee', 'old school sweep', 'far ankle roll']),
  action('underhook-up', 'underhook come-up', 'sweep', ['half guard'], [to('turtle', 'top'), any('back', 'attacker')], ['come up on the underhook', 'dogfight', 'underhook sweep']),
  action('turn-up', 'turn-up sweep', 'sweep', ['half guard'], [to('half-guard', 'top'), any('open guard', 'top')], ['turn up', 'come on top from deep half']),
  action('head-and-arm-pass', 'head-and-arm pass', 'pass', ['half guard'], [to('side-control', 'top')], ['crossface pass', 'head and arm', 'half guard smash']),
  action('knee-through', 'knee-through pass', 'pass', ['half guard', 'open guard', 'passing'], [to('side-control', 'top')], ['knee slice', 'knee cut', 'knee slide']),
  action('knees-aside', 'knees-aside pass', 'pass', ['open guard', 'passing'], [to('side-control', 'top'), to('legs-free', 'top')], ['knees to one side', 'bullfight pass', 'toreada']),
  action('over-under-pass', 'over-under pass', 'pass', ['open guard', 'passing'], [to('side-control', 'top')], ['over under pass', 'shoulder under pass']),
  action('body-lock-pass', 'body-lock pass', 'pass', ['open guard', 'half guard'], [to('side-control', 'top'), to('mount', 'top')], ['body lock', 'waist lock pass']),
  action('leg-drag', 'leg-drag pass', 'pass', ['open guard', 'passing'], [to('leg-drag-hold', 'top'), to('side-control', 'top')], ['drag the leg across', 'passagem de perna puxada']),
  action('stack-pass', 'stack pass', 'pass', ['open guard', 'closed guard', 'passing'], [to('side-control', 'top')], ['double under pass', 'stack', 'emborcada']),
  action('long-step', 'long-step pass', 'pass', ['half guard', 'passing', 'open guard'], [to('side-control', 'top'), to('legs-free', 'top')], ['step over and around', 'backstep pass', 'passo longo']),
  action('smash-pass', 'knees-together pass', 'pass', ['half guard', 'passing', 'open guard'], [to('side-control', 'top'), to('mount', 'top')], ['smash pass', 'knees pinned together', 'folding pass']),
  action('guard-opening', 'open the closed guard', 'pass', ['closed guard'], [any('open guard', 'top'), to('split-leg', 'top')], ['break the guard', 'stand to open', 'abrir a guarda']),
  action('float-pass', 'floating pass', 'pass', ['open guard', 'half guard'], [to('side-control', 'top'), to('north-south', 'top')], ['cartwheel pass', 'over the top', 'passagem em pe']),
  action('settle-across', 'settle across', 'advance', ['passing', 'pin'], [to('side-control', 'top')], ['settle the pin', 'step around', 'secure side control']),
  action('knee-to-belly', 'step to knee on belly', 'advance', ['pin', 'passing'], [to('knee-on-belly', 'top')], ['pop to the knee', 'knee on belly entry', 'knee ride entry']),
  action('slide-to-mount', 'slide to mount', 'advance', ['pin', 'half guard'], [to('mount', 'top')], ['mount transition', 'knee over to mount', 'take mount']),
  action('walk-to-north-south', 'walk round to north-south', 'advance', ['pin'], [to('north-south', 'top')], ['step past the head', 'spin to north-south', 'passar para norte sul']),
  action('entangle', 'enter the legs', 'advance', ['open guard', 'half guard', 'standing'], [any('leg entanglement', 'attacker'), to('fifty-fifty', 'even')], ['leg entry', 'ashi entry', 'sit under']),
  action('go-behind', 'go-behind', 'advance', ['turtle', 'standing', 'scramble'], [to('turtle', 'top'), to('rear-waist', 'attacker')], ['go behind', 'spin behind', 'run to the back']),
  action('back-take', 'back take', 'back take', ['turtle', 'standing', 'half guard', 'pin'], [to('back', 'attacker')], ['take the back', 'seat belt and hooks', 'pegar as costas']),
  action('rolling-back-take', 'rolling back take', 'back take', ['turtle', 'open guard', 'half guard'], [to('back', 'attacker')], ['roll to the back', 'inverting to the back']),
  action('chair-sit', 'chair sit to the back', 'back take', ['pin', 'turtle'], [to('back', 'attacker')], ['sit behind', 'from mount to the back']),
  action('armlock', 'straight armlock', 'submission', ['pin', 'closed guard', 'back'], [tap('straight-armlock')], ['armlock', 'arm bar', 'armbar', 'juji gatame']),
  action('double-wrist-lock', 'double wrist lock', 'submission', ['closed guard', 'pin', 'half guard', 'turtle'], [tap('double-wrist-lock')], ['figure four behind the back', 'ude garami', 'shoulder lock']),
  action('bent-armlock', 'bent armlock', 'submission', ['pin', 'half guard', 'closed guard'], [tap('bent-armlock')], ['figure four palm up', 'ude garami from the top', 'chave de braco']),
  action('shoulder-lock', 'leg shoulder lock', 'submission', ['closed guard', 'pin', 'open guard'], [tap('leg-shoulder-lock')], ['shoulder lock with the legs', 'sankaku garami', 'omoplata']),
  action('wrist-lock', 'wrist lock', 'submission', ['pin', 'closed guard', 'back', 'open guard'], [tap('wrist-lock')], ['kote gatame', 'mao de vaca', 'bent wrist']),
  action('triangle', 'triangle choke', 'submission', ['closed guard', 'open guard', 'pin'], [tap('triangle-choke')], ['triangle', 'sankaku', 'triangulo']),
  action('rear-choke', 'rear choke', 'submission', ['back', 'turtle'], [tap('rear-choke')], ['rear naked choke', 'mata leao', 'hadaka jime']),
  action('collar-choke', 'collar choke', 'submission', ['pin', 'closed guard', 'back'], [tap('collar-choke')], ['cross choke', 'cross collar choke', 'juji jime']),
  action('front-choke', 'front choke', 'submission', ['turtle', 'closed guard', 'half guard'], [tap('front-choke')], ['guillotine', 'guilhotina', 'front strangle']),
  action('head-and-arm-choke', 'arm-triangle choke', 'submission', ['pin', 'half guard', 'turtle'], [tap('arm-triangle')], ['arm triangle', 'kata gatame', 'head and arm choke']),
  action('sliding-collar', 'sliding collar choke', 'submission', ['back', 'turtle'], [tap('sliding-collar-choke')], ['bow and arrow', 'okuri eri jime', 'arco e flecha']),
  action('lapel-choke', 'lapel choke from the side', 'submission', ['pin', 'half guard'], [tap('lapel-choke')], ['paper cutter', 'loop round the neck', 'estrangulamento de lapela']),
  action('north-south-choke', 'north-south choke', 'submission', ['pin'], [tap('north-south-choke')], ['choke from north-south', 'estrangulamento norte sul']),
  action('front-arm-choke', 'front head-and-arm choke', 'submission', ['turtle', 'half guard', 'scramble'], [tap('front-arm-triangle')], ['roll-through choke', 'arm-in front choke', 'no-arm roll choke']),
  action('ankle-lock', 'straight ankle lock', 'submission', ['leg entanglement', 'open guard'], [tap('straight-ankle-lock')], ['ankle lock', 'foot lock', 'botinha']),
  action('foot-twist', 'foot twist', 'submission', ['leg entanglement', 'half guard'], [tap('foot-twist')], ['toe hold', 'figure four on the foot']),
  action('heel-twist', 'twisting heel lock', 'submission', ['leg entanglement'], [tap('heel-twist')], ['heel hook', 'chave de calcanhar', 'twist the heel']),
  action('kneelock', 'straight knee lock', 'submission', ['leg entanglement', 'half guard', 'open guard'], [tap('straight-kneelock')], ['knee bar', 'hiza juji', 'chave de joelho']),
  action('calf-lock', 'calf compression', 'submission', ['leg entanglement', 'turtle', 'half guard'], [tap('calf-crush')], ['calf slicer', 'calf crush', 'hiza hishigi']),
  action('bridge-and-roll', 'bridge and roll', 'escape', ['pin'], [any('closed guard', 'top'), any('open guard', 'top')], ['upa', 'trap and roll', 'bridge']),
  action('hip-escape', 'hip escape', 'escape', ['pin', 'passing', 'half guard'], [any('half guard', 'bottom'), any('open guard', 'bottom'), any('closed guard', 'bottom')], ['shrimp', 'elbow-knee escape', 'fuga de quadril']),
  action('turn-in', 'turn in', 'escape', ['back', 'turtle'], [any('closed guard', 'top'), any('half guard', 'top')], ['turn to face', 'slide out and turn in', 'face up']),
  action('leg-extraction', 'pull the leg out', 'escape', ['leg entanglement'], [any('open guard', 'top'), any('open guard', 'bottom'), to('standing', 'even')], ['clear the knee line', 'hide the heel and leave', 'tirar a perna']),
  action('posture-escape', 'posture out of it', 'escape', ['closed guard', 'turtle'], [to('closed-guard', 'top'), any('open guard', 'top')], ['stack and pull out', 'posture up and free', 'postura']),
  action('stand-up', 'stand up', 'escape', ['turtle', 'scramble', 'open guard', 'pin'], [to('standing', 'even')], ['technical stand-up', 'get up', 'levantada tecnica']),
  action('shoulder-roll', 'shoulder roll', 'retention', ['turtle', 'open guard', 'passing'], [any('open guard', 'bottom')], ['roll over the shoulder', 'invert and face', 'rolamento']),
  action('step-down', 'step down to mount', 'yield', ['back'], [to('mount', 'top')], ['back to mount', 'give up the hooks for mount', 'roll up to mount']),
  action('re-guard', 'knee back in', 'retention', GUARDS, [any('half guard', 'bottom'), any('open guard', 'bottom')], ['guard recovery', 'pummel the legs back', 're-guard']),
];

const target = (key: string, name: string, cloth: boolean, sided: boolean, aliases: readonly string[]): TargetWord => ({
  kind: 'target',
  key,
  name,
  cloth,
  sided,
  aliases,
});

// prettier-ignore
const targets: readonly TargetWord[] = [
  target('collar', 'collar', true, true, ['lapel', 'eri', 'gola']),
  target('lapel-end', 'end of the lapel', true, true, ['skirt of the jacket', 'loose lapel', 'lapela']),
  target('jacket-back', 'back of the jacket', true, false, ['cloth over the back', 'between the shoulder blades', 'ushiro eri']),
  target('trouser-knee', 'trouser at the knee', true, true, ['knee cloth', 'calca no joelho']),
  target('sleeve', 'sleeve', true, true, ['cuff', 'sode', 'manga']),
  target('trouser', 'trouser leg', true, true, ['pants', 'trouser', 'zubon']),
  target('belt', 'belt', true, false, ['obi', 'faixa']),
  target('wrist', 'wrist', false, true, ['tekubi', 'pulso']),
  target('forearm', 'forearm', false, true, ['lower arm', 'antebraco']),
  target('hand', 'hand', false, true, ['palm', 'fingers together', 'mao']),
  target('elbow', 'elbow', false, true, ['triceps', 'hiji']),
  target('arm', 'arm', false, true, ['upper arm', 'biceps', 'braco']),
  target('shoulder', 'shoulder', false, true, ['kata', 'ombro', 'shoulder cap']),
  target('chest', 'chest', false, false, ['mune', 'peito', 'breastbone']),
  target('neck', 'neck', false, false, ['throat', 'kubi']),
  target('head', 'head', false, false, ['back of the head', 'crown', 'cabeca']),
  target('face', 'side of the face', false, false, ['cheek', 'crossface spot', 'rosto']),
  target('waist', 'waist', false, false, ['body', 'trunk', 'around the body']),
  target('ribs', 'ribs', false, true, ['side of the trunk', 'costelas', 'flank']),
  target('back', 'back', false, false, ['spine line', 'costas', 'senaka']),
  target('hip', 'hip', false, true, ['hip bone', 'koshi', 'quadril']),
  target('thigh', 'thigh', false, true, ['upper leg', 'momo', 'coxa']),
  target('knee', 'knee', false, true, ['back of the knee', 'hiza', 'joelho']),
  target('shin', 'shin', false, true, ['lower leg', 'sune', 'canela']),
  target('calf', 'calf', false, true, ['back of the shin', 'panturrilha']),
  target('ankle', 'ankle', false, true, ['foot', 'ashikubi', 'tornozelo']),
  target('heel', 'heel', false, true, ['kakato', 'calcanhar']),
  target('toes', 'toes', false, true, ['tip of the foot', 'forefoot', 'dedos do pe']),
  target('instep', 'instep', false, true, ['top of the foot', 'peito do pe']),
  target('underarm', 'armpit', false, true, ['under the arm', 'far side ribs']),
  target('wall', 'wall', false, false, ['fence', 'padded wall', 'parede']),
  target('mat', 'mat', false, false, ['floor', 'ground']),
];

const CHOKE_CARE =
  'Can take consciousness in seconds. Tap early, let go at once; after a loss of consciousness lay on the side, no further training that day, medical help where breathing, speech or movement is not normal.';
const LOCK_CARE = 'Tap to the position, not to pain. Whoever locks adds pressure slowly and lets go at once.';
const TWIST_CARE =
  'Injures before it hurts: tap as soon as it is held. In class only in the form and at the level the instructor in the room allows; take the position, add nothing, let go. Never roll inside it on your own.';

const NECK_CARE =
  'Not in class unless the policy of the academy names the level. Loads the spine: tap at once, let go at once; numbness, weakness or neck pain is for a medical professional.';

const submission = (key: string, name: string, risk: Risk, aliases: readonly string[]): SubmissionWord => ({
  kind: 'submission',
  key,
  name,
  risk,
  aliases,
});

// prettier-ignore
const submissions: readonly SubmissionWord[] = [
  submission('straight-armlock', 'straight armlock', { injures: 'elbow', class: 'joint lock', pain: 'warns', care: LOCK_CARE }, ['armlock', 'arm bar', 'armbar', 'juji gatame']),
  submission('double-wrist-lock', 'double wrist lock', { injures: 'shoulder and elbow', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['figure four behind the back', 'ude garami']),
  submission('bent-armlock', 'bent armlock', { injures: 'shoulder and elbow', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['paintbrush', 'figure four, palm up', 'top shoulder lock']),
  submission('leg-shoulder-lock', 'leg shoulder lock', { injures: 'shoulder', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['shoulder lock with the legs', 'sankaku garami', 'omoplata']),
  submission('wrist-lock', 'wrist lock', { injures: 'wrist', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['kote gatame', 'mao de vaca']),
  submission('bicep-crush', 'upper-arm compression', { injures: 'upper-arm muscle and elbow', class: 'compression', pain: 'warns late', care: 'Loads muscle and bone. ' + LOCK_CARE }, ['bicep slicer', 'arm crush']),
  submission('straight-shoulder-lock', 'straight shoulder lock', { injures: 'shoulder and elbow', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['stretched arm over the shoulder', 'waki gatame']),
  submission('triangle-choke', 'triangle choke', { injures: 'blood vessels of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['triangle', 'sankaku jime']),
  submission('arm-triangle', 'arm-triangle choke', { injures: 'blood vessels of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['arm triangle', 'kata gatame', 'head and arm choke']),
  submission('rear-choke', 'rear choke', { injures: 'blood vessels and windpipe of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['rear naked choke', 'mata leao', 'hadaka jime']),
  submission('collar-choke', 'collar choke', { injures: 'blood vessels of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['cross choke', 'juji jime']),
  submission('sliding-collar-choke', 'sliding collar choke', { injures: 'blood vessels of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['bow and arrow', 'okuri eri jime']),
  submission('lapel-choke', 'lapel choke from the side', { injures: 'blood vessels and windpipe of the neck', class: 'choke', pain: 'warns late', care: CHOKE_CARE }, ['paper cutter', 'lapel round the neck']),
  submission('north-south-choke', 'north-south choke', { injures: 'blood vessels of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['choke from north-south']),
  submission('front-arm-triangle', 'front head-and-arm choke', { injures: 'blood vessels and joints of the neck', class: 'choke', pain: 'does not warn', care: CHOKE_CARE }, ['arm-in front choke', 'roll-through choke']),
  submission('loop-choke', 'loop choke', { injures: 'blood vessels and windpipe of the neck', class: 'choke', pain: 'warns late', care: CHOKE_CARE }, ['collar loop', 'looped lapel']),
  submission('forearm-choke', 'forearm choke', { injures: 'windpipe of the neck', class: 'choke', pain: 'warns', care: CHOKE_CARE }, ['sleeve choke', 'sode guruma jime']),
  submission('front-choke', 'front choke', { injures: 'windpipe, blood vessels and joints of the neck', class: 'choke', pain: 'warns late', care: CHOKE_CARE }, ['guillotine', 'guilhotina']),
  submission('straight-ankle-lock', 'straight ankle lock', { injures: 'ankle and heel cord', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['ankle lock', 'botinha', 'foot lock']),
  submission('foot-twist', 'foot twist', { injures: 'ankle and knee ligaments', class: 'twisting lock', pain: 'does not warn', care: TWIST_CARE }, ['toe hold', 'twisted foot']),
  submission('heel-twist', 'twisting heel lock', { injures: 'knee ligaments', class: 'twisting lock', pain: 'does not warn', care: TWIST_CARE }, ['heel hook', 'heel twist']),
  submission('straight-kneelock', 'straight knee lock', { injures: 'knee', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['knee bar', 'leg bar', 'hiza juji']),
  submission('hip-lock', 'split hip lock', { injures: 'hip, groin and hamstring', class: 'joint lock', pain: 'warns late', care: LOCK_CARE }, ['banana split', 'electric chair']),
  submission('calf-crush', 'calf compression', { injures: 'calf muscle and knee', class: 'compression', pain: 'warns late', care: 'Loads muscle and bone, and opens the knee. ' + LOCK_CARE }, ['calf slicer', 'calf crush']),
  submission('neck-crank', 'neck crank', { injures: 'joints and discs of the neck', class: 'neck and spine', pain: 'does not warn', care: NECK_CARE }, ['can opener', 'head twist', 'kubi hishigi']),
  submission('spine-twist', 'spine twist', { injures: 'joints and discs of the back and neck', class: 'neck and spine', pain: 'does not warn', care: NECK_CARE }, ['twister', 'spinal lock']),
];

const reaction = (key: string, name: string, aliases: readonly string[]): ReactionWord => ({
  kind: 'reaction',
  key,
  name,
  aliases,
});

// prettier-ignore
const reactions: readonly ReactionWord[] = [
  reaction('frames', 'frame', ['framing', 'forearm in the way', 'stiff arm']),
  reaction('hips-out', 'hip out', ['hips out', 'shrimps', 'moves the hips away']),
  reaction('posts', 'post a hand', ['posts hand', 'base out', 'hand to the mat']),
  reaction('turtles', 'turtle up', ['turtles', 'turns to all fours']),
  reaction('clasps', 'clasp the hands', ['clasps hands', 'locks the hands', 'grips together']),
  reaction('holds-hand', 'hold the choking hand', ['two on one', 'hold the hand', 'hand fights']),
  reaction('steps-out', 'step out', ['steps back', 'leg out', 'backs away']),
  reaction('underhook', 'win the underhook', ['underhooks', 'pummels under', 'gets the underhook']),
  reaction('sprawls', 'sprawl', ['hips back', 'legs back']),
  reaction('hands-to-collar', 'bring the hands to the collar', ['hands to collar', 'defends the neck', 'elbows up']),
  reaction('turns-in', 'turn in', ['turns to face', 'comes to the elbow']),
  reaction('postures', 'posture up', ['sits up tall', 'straightens', 'posture']),
  reaction('crossface', 'crossface', ['turns the face away', 'forearm across the face']),
  reaction('bridges', 'bridge', ['bridges', 'lifts the hips', 'ponte']),
  reaction('inverts', 'invert', ['rolls under', 'goes upside down']),
  reaction('pushes-knee', 'push the knee', ['pushes the knee down', 'stiff arm on the knee']),
  reaction('breaks-grip', 'break the grip', ['strips the grip', 'two hands off']),
];

const reason = (key: string, name: string, aliases: readonly string[]): ReasonWord => ({
  kind: 'reason',
  key,
  name,
  aliases,
});

// prettier-ignore
const reasons: readonly ReasonWord[] = [
  reason('no-angle', 'no angle', ['square on', 'straight in front']),
  reason('grip-lost', 'grip lost', ['lost the grip', 'grip broken', 'stripped']),
  reason('too-far', 'too far away', ['no contact', 'space left']),
  reason('weight-high', 'weight too high', ['hips too high', 'too high']),
  reason('late', 'too late', ['late', 'slow', 'window shut']),
  reason('frame-left', 'their frame stayed in', ['frame not cleared', 'frame inside']),
  reason('hips-free', 'their hips stayed free', ['hips not held', 'free hips']),
  reason('posture-kept', 'their posture stayed upright', ['posture not broken', 'upright']),
  reason('hand-free', 'their posting hand stayed free', ['post not taken', 'free hand']),
  reason('underhook-lost', 'underhook lost', ['no underhook', 'lost the inside']),
  reason('knee-line', 'their knee line was free', ['knee out', 'above the knee line']),
  reason('tired', 'out of breath', ['tired', 'arms gone']),
  reason('edge', 'edge of the mat', ['out of bounds', 'no room']),
];

/** Everything that ships. Order carries no meaning but in choices where nothing else decides. */
export const SHIPPED_WORDS: readonly Word[] = [
  ...positions,
  ...actions,
  ...targets,
  ...submissions,
  ...reactions,
  ...reasons,
];
