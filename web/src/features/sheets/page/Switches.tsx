import { Flex } from '@chakra-ui/react';
import { readPlace, stateId, type Narrowing, type PlaceId, type SheetSource } from '@odograph/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { Choice } from '../../../design/index.js';
import { useWords } from '../../library/index.js';
import { SWITCH_TEXT as T } from './page.text.js';

const SIDES = ['left', 'right'] as const;
const oneOf = <V extends string>(all: readonly V[], said: string | null): V | undefined => all.find((v) => v === said);

/** What of its view a sheet looks at, as the address says it: that stays while the sheet is turned to something else. */
export const useNarrowing = (): {
  readonly narrowing: Narrowing;
  readonly kept: Readonly<Record<string, string>>;
} => {
  const [search] = useSearchParams();
  const lead = oneOf(SIDES, search.get('side'));
  return useMemo(() => ({ narrowing: { lead }, kept: lead ? { side: lead } : {} }), [lead]);
};

const ANY = 'any';
const useSet = (): ((name: string, value: string) => void) => {
  const [, setSearch] = useSearchParams();
  return (name, value) =>
    setSearch((now) => {
      const next = new URLSearchParams(now);
      if (value === ANY) next.delete(name);
      else next.set(name, value);
      for (const inHand of ['cell', 'row']) next.delete(inHand);
      return next;
    });
};

/** Who is looked at in a place, and on which side of the body, where somebody said that. */
export const PlaceSwitches = ({
  place,
  source,
}: {
  readonly place: PlaceId;
  readonly source: SheetSource | undefined;
}): React.JSX.Element | null => {
  const words = useWords();
  const { lead } = useNarrowing().narrowing;
  const set = useSet();
  const at = readPlace(place);
  const isSided = useMemo(
    () => source?.cases.some((c) => c.from === place && c.attempt.lead) ?? false,
    [source, place],
  );
  if (at?.kind !== 'state') return null;
  const roles = words.position(at.position)?.roles ?? [];
  return (
    <Flex gap="4" rowGap="2" wrap="wrap" marginBottom="4" className="no-print">
      {roles.length > 1 && (
        <Choice
          label={T.role}
          name="sheet-role"
          isTight
          value={at.role}
          options={roles.map((role) => [role, role])}
          onChange={(role) => set('place', stateId({ position: at.position, role }))}
        />
      )}
      {(isSided || lead !== undefined) && (
        <Choice
          label={T.side}
          name="sheet-side"
          isTight
          value={lead ?? ANY}
          options={[
            [ANY, T.anySide],
            ['left', T.left],
            ['right', T.right],
          ]}
          onChange={(value) => set('side', value)}
        />
      )}
    </Flex>
  );
};
