import { Box, Flex } from '@chakra-ui/react';
import {
  ACTION_KINDS,
  DANGERS,
  FAMILIES,
  LADDERS,
  finishId,
  placeName,
  stateId,
  type Aim,
  type Family,
  type Ladder,
  type Role,
  type Words,
} from '@odograph/core';
import { X } from 'lucide-react';
import { Action, Choice, Labelled, Picked, Ruled } from '../../design/index.js';
import { ParentPicked, without, type FieldsOf } from './fieldParts.js';
import { DANGER_TEXT, WORDS_TEXT as T } from './words.text.js';

/** Aims as they can be chosen: every place, every submission. */
const aimId = (aim: Aim): string =>
  'submission' in aim
    ? `submission ${aim.submission}`
    : 'position' in aim
      ? `place ${aim.position} ${aim.role}`
      : `family ${aim.family.replaceAll(' ', '_')} ${aim.role}`;
const readAim = (id: string): Aim | undefined => {
  const [kind, said = '', role] = id.split(' ');
  switch (kind) {
    case 'submission':
      return { submission: said };
    case 'place':
      return { position: said, role: role as Role };
    case 'family':
      return { family: said.replaceAll('_', ' ') as Family, role: role as Role };
    default:
      return undefined;
  }
};
/** Roles in which any place of a family can be aimed at. */
const FAMILY_AIMS = FAMILIES.flatMap((family) =>
  (family === 'back' ? (['attacker', 'defender'] as const) : (['top', 'bottom'] as const)).map(
    (role) => [aimId({ family, role }), `any ${family}, ${role}`] as const,
  ),
);
const aims = (words: Words): readonly (readonly [id: string, text: string])[] => [
  ...words
    .of('position')
    .flatMap((p) =>
      p.roles.map((role) => [`place ${p.key} ${role}`, placeName(stateId({ position: p.key, role }), words)] as const),
    ),
  ...words
    .of('submission')
    .map(
      (s) =>
        [
          `submission ${s.key}`,
          placeName(finishId({ kind: 'submission', submission: s.key, won: true }), words),
        ] as const,
    ),
  ...FAMILY_AIMS,
];

/** Everything that an action aims at: what is chosen, and one field more. */
const AimFields = ({ definition, words, onChange }: FieldsOf<'action'>): React.JSX.Element => {
  const all = aims(words);
  return (
    <Labelled label={T.aim}>
      <Box>
        {definition.aims.map((aim) => (
          <Flex key={aimId(aim)} gap="2" alignItems="center">
            {all.find(([id]) => id === aimId(aim))?.[1] ?? aimId(aim)}
            <Action
              type="button"
              tone="quiet"
              aria-label={T.notAim}
              onClick={() => onChange({ ...definition, aims: definition.aims.filter((a) => a !== aim) })}
            >
              <X size={15} aria-hidden />
            </Action>
          </Flex>
        ))}
        <Picked
          aria-label={T.aim}
          maxWidth="260px"
          value=""
          onChange={(e) => {
            const aim = readAim(e.target.value);
            if (aim && !definition.aims.some((a) => aimId(a) === aimId(aim)))
              onChange({ ...definition, aims: [...definition.aims, aim] });
          }}
        >
          <option value="">{definition.aims.length ? T.oneMoreAim : T.noAim}</option>
          {all.map(([id, text]) => (
            <option key={id} value={id}>
              {text}
            </option>
          ))}
        </Picked>
      </Box>
    </Labelled>
  );
};

/** How far an action can come, in words of its own: all five, or those of its kind. */
const LadderFields = ({ definition, tried, onChange }: FieldsOf<'action'>): React.JSX.Element => {
  const { ladder } = definition;
  const usual = LADDERS[definition.does];
  return (
    <Box as="fieldset" border="none" marginTop="3">
      <Box as="legend" color="inkSoft" fontSize="14px">
        {T.ladder}
      </Box>
      <Flex gap="4" alignItems="flex-start" wrap="wrap">
        <Choice
          label={T.ladder}
          name="ladder"
          isTight
          value={ladder ? 'own' : 'usual'}
          options={[
            ['usual', T.usualLadder(usual)],
            ['own', T.ownLadder],
          ]}
          onChange={(which) =>
            onChange(which === 'own' ? { ...definition, ladder: usual } : without(definition, 'ladder'))
          }
        />
      </Flex>
      {ladder && (
        <Flex gap="4" marginTop="2">
          {ladder.map((rung, i) => (
            <Box key={i} flex="1">
              <Ruled
                aria-label={T.rung(i)}
                aria-invalid={tried && !rung.trim()}
                maxLength={40}
                value={rung}
                onChange={(e) =>
                  onChange({
                    ...definition,
                    ladder: ladder.map((r, k) => (k === i ? e.target.value : r)) as unknown as Ladder,
                  })
                }
              />
            </Box>
          ))}
        </Flex>
      )}
    </Box>
  );
};

/** Any of a few, in their order. */
const Checks = <V extends string>({
  legend,
  all,
  said,
  textOf,
  onChange,
}: {
  readonly legend: string;
  readonly all: readonly V[];
  readonly said: readonly V[];
  readonly textOf: (value: V) => string;
  readonly onChange: (said: readonly V[]) => void;
}): React.JSX.Element => (
  <Box as="fieldset" border="none" marginTop="3">
    <Box as="legend" color="inkSoft" fontSize="14px">
      {legend}
    </Box>
    <Flex gap="4" wrap="wrap">
      {all.map((value) => (
        <Box as="label" key={value} display="flex" gap="1.5" cursor="pointer">
          <input
            type="checkbox"
            checked={said.includes(value)}
            onChange={(e) =>
              onChange(all.filter((other) => (other === value ? e.target.checked : said.includes(other))))
            }
          />
          {textOf(value)}
        </Box>
      ))}
    </Flex>
  </Box>
);

/** What an action of one's own is. */
export const ActionFields = (props: FieldsOf<'action'>): React.JSX.Element => {
  const { definition, words, ownKey, onChange } = props;
  return (
    <>
      <Flex gap="8" wrap="wrap" alignItems="flex-start" marginBottom="3">
        <Labelled label={T.does}>
          <Picked
            value={definition.does}
            onChange={(e) => onChange({ ...definition, does: e.target.value as (typeof ACTION_KINDS)[number] })}
          >
            {ACTION_KINDS.map((kind) => (
              <option key={kind}>{kind}</option>
            ))}
          </Picked>
        </Labelled>
        <AimFields {...props} />
        <ParentPicked
          definition={definition}
          parents={words
            .of('action')
            .filter((a) => a.key !== ownKey && a.does === definition.does && words.all.includes(a))}
          onChange={onChange}
        />
      </Flex>
      <Checks
        legend={T.from}
        all={FAMILIES}
        said={definition.from}
        textOf={(family) => family}
        onChange={(from) => onChange({ ...definition, from })}
      />
      <Checks
        legend={T.dangers}
        all={DANGERS}
        said={definition.dangers ?? []}
        textOf={(danger) => DANGER_TEXT[danger]}
        onChange={(dangers) => onChange({ ...definition, dangers })}
      />
      <LadderFields {...props} />
    </>
  );
};
