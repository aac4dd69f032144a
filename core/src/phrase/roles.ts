import { isAim, placeFamily, stateId, type PlaceId } from '../attempts/index.js';
import type { Role, Words } from '../vocabulary/index.js';
import type { Meant, PhraseContext, PhraseReading, SaidFinish, SaidPlace } from './types.js';

/** The side of a place that an action is begun from, by what kind it is. */
const usualRole = (position: string, action: string | null, words: Words): Role | null => {
  const word = words.position(position);
  if (!word) return null;
  if (word.roles.length <= 1) return word.roles[0] ?? null;
  const does = action === null ? undefined : words.action(action)?.does;
  const [first, second] = word.roles as [Role, Role];
  const better = word.height >= 0 ? first : second;
  const worse = better === first ? second : first;
  const vertical = (role: 'top' | 'bottom'): Role =>
    word.roles.find((r) => r === role) ?? (role === 'top' ? better : worse);
  switch (does) {
    case 'pass':
    case 'takedown':
    case 'yield':
      return vertical('top');
    case 'sweep':
    case 'guard pull':
    case 'retention':
    case 'off-balance':
      return vertical('bottom');
    case 'escape':
      return word.family.endsWith('guard') ? vertical('bottom') : worse;
    case 'advance':
    case 'back take':
    case 'submission':
      return word.family.endsWith('guard') ? vertical('bottom') : better;
    default:
      return better;
  }
};

const idOf = (place: SaidPlace): PlaceId | null =>
  place.role === null ? null : stateId({ position: place.position, role: place.role });

/** Fills in the roles that were not said: of the place by what was left and by the action, of the finish by the aim and by who was on top. */
export const withRoles = (reading: PhraseReading, words: Words, context: PhraseContext): PhraseReading => {
  const said = <P extends Meant['part']>(part: P): Extract<Meant, { part: P }> | undefined =>
    reading.parts.find((p) => p.meant.part === part)?.meant as Extract<Meant, { part: P }> | undefined;
  const action = said('entry')?.action ?? null;
  const settled = (place: SaidPlace): SaidPlace => {
    if (place.role !== null) return place;
    const left = context.left;
    const role = left?.position === place.position ? left.role : null;
    return { ...place, role: role ?? usualRole(place.position, action, words) };
  };
  const from = said('position') ? settled(said('position')!.place) : (context.left ?? null);
  const aims = action === null ? [] : (words.action(action)?.aims ?? []);
  const ended = (finish: SaidFinish): SaidFinish => {
    if (finish.kind !== 'state' || finish.role !== null) return finish;
    const word = words.position(finish.position);
    if (!word) return finish;
    if (word.roles.length <= 1) return { ...finish, role: word.roles[0] ?? null };
    const aim = aims.find((a) => !('submission' in a) && isAim(a, finish, words));
    if (aim && 'role' in aim && word.roles.includes(aim.role)) return { ...finish, role: aim.role };
    if (from?.position === finish.position) return { ...finish, role: from.role };
    const begun = idOf(from ?? finish);
    const onTop =
      from?.role === 'top' || from?.role === 'attacker' || (begun !== null && placeFamily(begun, words) === 'standing');
    const better = word.height >= 0 ? word.roles[0]! : word.roles[1]!;
    const result = said('result')?.result;
    if (word.family.endsWith('guard')) return { ...finish, role: onTop ? 'top' : 'bottom' };
    return {
      ...finish,
      role:
        result === 'success' || result === 'partial' || onTop
          ? better
          : (word.roles.find((r) => r !== better) ?? better),
    };
  };
  const filled = (meant: Meant): Meant =>
    meant.part === 'position'
      ? { ...meant, place: settled(meant.place) }
      : meant.part === 'finish'
        ? { ...meant, finish: ended(meant.finish) }
        : meant;
  return {
    ...reading,
    parts: reading.parts.map((p) => ({ ...p, meant: filled(p.meant), others: p.others.map(filled) })),
  };
};
