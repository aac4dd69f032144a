import { Box, Flex } from '@chakra-ui/react';
import { FAMILIES, LEAD_LIMBS, RISK_CLASSES, RISK_PAIN, type Definition, type Family, type Role } from '@odograph/core';
import { Choice, Counted, Labelled, Picked, Ruled, YesNo } from '../../design/index.js';
import { ActionFields } from './ActionFields.js';
import { FactFields } from './FactFields.js';
import { ParentPicked, without, type DefinitionProps, type FieldsOf } from './fieldParts.js';
import { NamedGripHolds, RequiredHolds } from './HoldRows.js';
import { WORDS_TEXT as T } from './words.text.js';

const ROLES = {
  even: ['even'],
  vertical: ['bottom', 'top'],
  holding: ['attacker', 'defender'],
} as const;
type RoleSet = keyof typeof ROLES;
const roleSet = (roles: readonly Role[]): RoleSet =>
  roles.includes('top') ? 'vertical' : roles.includes('attacker') ? 'holding' : 'even';

const PositionFields = ({ definition, words, ownKey, onChange }: FieldsOf<'position'>): React.JSX.Element => {
  const set = roleSet(definition.roles);
  const { lead = null, requires = [] } = definition;
  const changeRoles = (r: RoleSet): void => {
    const roles: readonly Role[] = ROLES[r];
    const holds = requires.filter((hold) => roles.includes(hold.holder));
    onChange({
      // what was said of a side that is no more goes with it
      ...without(without(definition, 'parent'), 'requires'),
      ...{ roles, height: r === 'even' ? 0 : definition.height, lead: lead && roles.includes(lead.role) ? lead : null },
      ...(holds.length ? { requires: holds } : {}),
    });
  };
  return (
    <>
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
          options={(Object.keys(ROLES) as RoleSet[]).map((r) => [r, T.roleSets[r]] as const)}
          onChange={changeRoles}
        />
        {set !== 'even' && (
          <Labelled label={T.height(ROLES[set][0])}>
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
        <ParentPicked
          definition={definition}
          parents={words
            .of('position')
            .filter((p) => p.key !== ownKey && definition.roles.every((role) => p.roles.includes(role)))}
          onChange={onChange}
        />
        <Labelled label={T.namedSide}>
          <Picked
            value={lead ? `${lead.role} ${lead.limb}` : ''}
            onChange={(e) => {
              const [role, limb] = e.target.value.split(' ') as [Role, (typeof LEAD_LIMBS)[number]];
              onChange({ ...definition, lead: e.target.value === '' ? null : { role, limb } });
            }}
          >
            <option value="">{T.noLead}</option>
            {definition.roles.flatMap((role) =>
              LEAD_LIMBS.map((limb) => (
                <option key={`${role} ${limb}`} value={`${role} ${limb}`}>
                  {T.leadOf(role, limb)}
                </option>
              )),
            )}
          </Picked>
        </Labelled>
      </Flex>
      <RequiredHolds
        requires={requires}
        roles={definition.roles}
        words={words}
        onChange={(holds) =>
          onChange(holds.length ? { ...definition, requires: holds } : without(definition, 'requires'))
        }
      />
    </>
  );
};

const TargetFields = ({ definition, words, onChange }: FieldsOf<'target'>): React.JSX.Element => (
  <>
    <Flex gap="8">
      <Choice
        label={T.what}
        name="what"
        value={definition.grips ? 'grip' : 'place'}
        options={[
          ['place', T.placeToHold],
          ['grip', T.wholeGrip],
        ]}
        onChange={(what) =>
          onChange(
            what === 'grip'
              ? { ...definition, cloth: false, sided: false, grips: [{ limb: 'hand', kind: 'grip', target: 'wrist' }] }
              : without(definition, 'grips'),
          )
        }
      />
      {!definition.grips && (
        <>
          <Choice
            label={T.made}
            name="cloth"
            value={definition.cloth ? 'cloth' : 'body'}
            options={[
              ['body', T.madeOf.body],
              ['cloth', T.madeOf.cloth],
            ]}
            onChange={(made) => onChange({ ...definition, cloth: made === 'cloth' })}
          />
          <YesNo
            label={T.sided}
            name="sided"
            is={definition.sided}
            words={T.many}
            onChange={(sided) => onChange({ ...definition, sided })}
          />
        </>
      )}
    </Flex>
    {definition.grips && (
      <NamedGripHolds grips={definition.grips} words={words} onChange={(grips) => onChange({ ...definition, grips })} />
    )}
  </>
);

const SubmissionFields = ({ definition, tried, onChange }: FieldsOf<'submission'>): React.JSX.Element => {
  const { risk } = definition;
  const set = (change: Partial<typeof risk>): void => onChange({ ...definition, risk: { ...risk, ...change } });
  const missing = (text: string): string | undefined => (tried && !text.trim() ? T.needed : undefined);
  return (
    <>
      <Flex gap="8" wrap="wrap" alignItems="flex-start" marginBottom="3">
        <Labelled label={T.injures} problem={missing(risk.injures)}>
          <Counted limit={120} value={risk.injures} onChange={(e) => set({ injures: e.target.value })} />
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
        <Counted limit={400} value={risk.care} onChange={(e) => set({ care: e.target.value })} />
      </Labelled>
    </>
  );
};

/** What a word of one's own is, by its kind. */
export const DefinitionFields = ({ definition, ...rest }: DefinitionProps<Definition>): React.JSX.Element | null => {
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
      case 'fact':
        return <FactFields definition={definition} {...rest} />;
      case 'reaction':
      case 'reason':
        return null;
    }
  };
  const shown = fields();
  return shown && <Box marginBottom="4">{shown}</Box>;
};
