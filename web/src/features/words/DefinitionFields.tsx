import { Box, Flex } from '@chakra-ui/react';
import {
  ACTION_KINDS,
  FAMILIES,
  RISK_CLASSES,
  RISK_PAIN,
  finishId,
  placeName,
  stateId,
  type Aim,
  type Definition,
  type Family,
  type Role,
  type Words,
} from '@odograph/core';
import { Choice, Labelled, Picked, Ruled } from '../../design/index.js';
import { WORDS_TEXT as T } from './words.text.js';

const ROLES = {
  even: ['even'],
  'top and bottom': ['bottom', 'top'],
  'attacker and defender': ['attacker', 'defender'],
} as const;
type RoleSet = keyof typeof ROLES;
const roleSet = (roles: readonly Role[]): RoleSet =>
  roles.includes('top') ? 'top and bottom' : roles.includes('attacker') ? 'attacker and defender' : 'even';

/** Aims as they can be chosen: every place, every submission. */
const aimId = (aim: Aim): string =>
  'submission' in aim
    ? `submission ${aim.submission}`
    : 'position' in aim
      ? `place ${aim.position} ${aim.role}`
      : `family ${aim.family} ${aim.role}`;
const readAim = (id: string): Aim | undefined => {
  const [kind, ...rest] = id.split(' ');
  if (kind === 'submission') return { submission: rest[0]! };
  return kind === 'place' ? { position: rest[0]!, role: rest[1] as Role } : undefined;
};
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
];

type Props<D> = {
  readonly definition: D;
  readonly words: Words;
  readonly tried: boolean;
  readonly onChange: (definition: Definition) => void;
};
type Of<K extends Definition['kind']> = Extract<Definition, { kind: K }>;

const PositionFields = ({ definition, onChange }: Props<Of<'position'>>): React.JSX.Element => {
  const set = roleSet(definition.roles);
  return (
    <Flex gap="8" wrap="wrap" alignItems="flex-start">
      <Labelled label={T.family}>
        <Picked
          value={definition.family}
          onChange={(e) => onChange({ ...definition, family: e.target.value as Family })}
        >
          {FAMILIES.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </Picked>
      </Labelled>
      <Choice
        label={T.roles}
        name="roles"
        value={set}
        options={(Object.keys(ROLES) as RoleSet[]).map((r) => [r, r] as const)}
        onChange={(r) => onChange({ ...definition, roles: ROLES[r], height: r === 'even' ? 0 : definition.height })}
      />
      {set !== 'even' && (
        <Labelled label={`${T.height} (${ROLES[set][0]})`}>
          <Ruled
            type="number"
            min={-5}
            max={5}
            step={0.25}
            width="90px"
            value={definition.height}
            onChange={(e) => onChange({ ...definition, height: Math.min(5, Math.max(-5, Number(e.target.value))) })}
          />
        </Labelled>
      )}
    </Flex>
  );
};

const ActionFields = ({ definition, words, onChange }: Props<Of<'action'>>): React.JSX.Element => (
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
      <Labelled label={T.aim}>
        <Picked
          maxWidth="260px"
          value={definition.aims[0] ? aimId(definition.aims[0]) : ''}
          onChange={(e) => {
            const aim = readAim(e.target.value);
            onChange({ ...definition, aims: aim ? [aim] : [] });
          }}
        >
          <option value="">{T.noAim}</option>
          {aims(words).map(([id, text]) => (
            <option key={id} value={id}>
              {text}
            </option>
          ))}
        </Picked>
      </Labelled>
    </Flex>
    <Box as="fieldset" border="none">
      <Box as="legend" color="inkSoft" fontSize="14px">
        {T.from}
      </Box>
      <Flex gap="4" wrap="wrap">
        {FAMILIES.map((family) => (
          <Box as="label" key={family} display="flex" gap="1.5" cursor="pointer">
            <input
              type="checkbox"
              checked={definition.from.includes(family)}
              onChange={(e) =>
                onChange({
                  ...definition,
                  from: FAMILIES.filter((f) => (f === family ? e.target.checked : definition.from.includes(f))),
                })
              }
            />
            {family}
          </Box>
        ))}
      </Flex>
    </Box>
  </>
);

const TargetFields = ({ definition, onChange }: Props<Of<'target'>>): React.JSX.Element => (
  <Flex gap="8">
    <Choice
      label={T.made}
      name="cloth"
      value={definition.cloth ? 'cloth' : 'body'}
      options={[
        ['body', 'body'],
        ['cloth', 'cloth'],
      ]}
      onChange={(made) => onChange({ ...definition, cloth: made === 'cloth' })}
    />
    <Choice
      label={T.sided}
      name="sided"
      value={definition.sided ? 'yes' : 'no'}
      options={[
        ['yes', 'there are two'],
        ['no', 'there is one'],
      ]}
      onChange={(said) => onChange({ ...definition, sided: said === 'yes' })}
    />
  </Flex>
);

const SubmissionFields = ({ definition, tried, onChange }: Props<Of<'submission'>>): React.JSX.Element => {
  const { risk } = definition;
  const set = (change: Partial<typeof risk>): void => onChange({ ...definition, risk: { ...risk, ...change } });
  const missing = (text: string): string | undefined => (tried && !text.trim() ? 'has to be said' : undefined);
  return (
    <>
      <Flex gap="8" wrap="wrap" alignItems="flex-start" marginBottom="3">
        <Labelled label={T.injures} problem={missing(risk.injures)}>
          <Ruled maxLength={120} value={risk.injures} onChange={(e) => set({ injures: e.target.value })} />
        </Labelled>
        <Labelled label={T.riskClass}>
          <Picked value={risk.class} onChange={(e) => set({ class: e.target.value as typeof risk.class })}>
            {RISK_CLASSES.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </Picked>
        </Labelled>
        <Labelled label={T.pain}>
          <Picked value={risk.pain} onChange={(e) => set({ pain: e.target.value as typeof risk.pain })}>
            {RISK_PAIN.map((p) => (
              <option key={p}>{p}</option>
            ))}
          </Picked>
        </Labelled>
      </Flex>
      <Labelled label={T.care} problem={missing(risk.care)} hint={T.careHint}>
        <Ruled maxLength={400} value={risk.care} onChange={(e) => set({ care: e.target.value })} />
      </Labelled>
    </>
  );
};

/** What a word of one's own is, by its kind. */
export const DefinitionFields = ({ definition, ...rest }: Props<Definition>): React.JSX.Element | null => {
  const fields = (): React.JSX.Element | null => {
    switch (definition.kind) {
      case 'position':
        return <PositionFields definition={definition} {...rest} />;
      case 'action':
        return <ActionFields definition={definition} {...rest} />;
      case 'target':
        return <TargetFields definition={definition} {...rest} />;
      case 'submission':
        return <SubmissionFields definition={definition} {...rest} />;
      case 'reaction':
      case 'reason':
        return null;
    }
  };
  const shown = fields();
  return shown && <Box marginBottom="4">{shown}</Box>;
};
