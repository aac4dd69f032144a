import { Box } from '@chakra-ui/react';
import {
  FORMS,
  LEVELS,
  RISKS,
  SCHOOLS,
  SHIPPED_POLICIES,
  policyOf,
  type AcademyPolicy,
  type Form,
  type Level,
  type PolicyRow,
  type RiskClass,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { Action, Choice, Heading, Picked } from '../../design/index.js';
import { useLibrary, useRole } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { FORM_TEXT, LEVEL_TEXT, POLICY_TEXT as T, RISK_TEXT, SCHOOL_TEXT } from './policy.text.js';

const FIELD_OF: Readonly<Record<Level, Exclude<keyof PolicyRow, 'risk'>>> = {
  'first weeks': 'firstWeeks',
  beginner: 'beginner',
  intermediate: 'intermediate',
  advanced: 'advanced',
};

const rowOf = (risk: RiskClass, forms: readonly [Form, Form, Form, Form]): PolicyRow => {
  const [firstWeeks, beginner, intermediate, advanced] = forms;
  return { risk, firstWeeks, beginner, intermediate, advanced };
};

/** What the academy lets its people do in which form: which school it follows, and where it says otherwise. */
export const PolicyScreen = (): React.JSX.Element => {
  const { policies } = useLibrary();
  const edit = useEdit();
  const isHead = useRole() === 'head';
  const [said] = policies;
  const { school, rows } = said ?? { school: 'hold back' as const, rows: [] };
  const policy = policyOf(said);
  const set = (changes: Partial<Pick<AcademyPolicy, 'school' | 'rows'>>): void => {
    if (said) edit({ kind: 'policy', id: said.id, changes });
    else edit({ kind: 'new policy', policy: { id: newId(), version: 0, school, rows, ...changes } });
  };
  const setForm = (risk: RiskClass, level: Level, form: Form): void => {
    const row = { ...rowOf(risk, policy[risk]), [FIELD_OF[level]]: form };
    set({ rows: [...rows.filter((r) => r.risk !== risk), row] });
  };
  return (
    <Box maxWidth="960px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="4">
        {T.lead}
      </Box>
      {isHead ? (
        <Choice
          label={T.school}
          name="school"
          value={school}
          options={SCHOOLS.map((s) => [s, SCHOOL_TEXT[s]] as const)}
          onChange={(next) => set({ school: next })}
        />
      ) : (
        <Box>
          {T.school}: {SCHOOL_TEXT[school]}. {T.onlyHead}
        </Box>
      )}
      <Box
        as="table"
        marginTop="4"
        width="100%"
        css={{
          '& th': { textAlign: 'left', fontWeight: 600, borderBottom: '1px solid var(--od-field)' },
          '& td, & tbody th': { borderBottom: '1px solid var(--od-hairline)' },
          '& td, & th': { padding: '6px 16px 6px 0' },
        }}
      >
        <thead>
          <tr>
            <th scope="col">{T.can}</th>
            {LEVELS.map((level) => (
              <th key={level} scope="col">
                {LEVEL_TEXT[level]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {RISKS.map((risk) => (
            <tr key={risk}>
              <th scope="row">{RISK_TEXT[risk]}</th>
              {LEVELS.map((level, i) => {
                const form = policy[risk][i]!;
                const isOwn = form !== SHIPPED_POLICIES[school][risk][i];
                return (
                  <td key={level}>
                    {isHead ? (
                      <Picked
                        aria-label={`${RISK_TEXT[risk]}, ${LEVEL_TEXT[level]}`}
                        fontSize="16px"
                        value={form}
                        onChange={({ target }) => {
                          const next = FORMS.find((f) => f === target.value);
                          if (next) setForm(risk, level, next);
                        }}
                      >
                        {FORMS.map((f) => (
                          <option key={f} value={f}>
                            {FORM_TEXT[f]}
                          </option>
                        ))}
                      </Picked>
                    ) : (
                      FORM_TEXT[form]
                    )}
                    {isOwn && (
                      <Box fontSize="13px" color="inkSoft">
                        {T.other}
                      </Box>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
      {isHead && rows.length > 0 && (
        <Action marginTop="3" onClick={() => set({ rows: [] })}>
          {T.reset}
        </Action>
      )}
      <Box color="inkSoft" marginTop="4">
        {T.young}
      </Box>
    </Box>
  );
};
