import { Box, Flex } from '@chakra-ui/react';
import type { Member, MemberRole } from '@odograph/core/contract';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { Action, Labelled, Picked, Ruled, Subheading, dayText } from '../../design/index.js';
import { useLeaveMutation } from '../accounts/index.js';
import { failureText } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import { PEOPLE_TEXT as T, ROLE_TEXT, ACCOUNTS_TEXT } from './people.text.js';
import {
  useChangeRoleMutation,
  useInviteMutation,
  usePeopleQuery,
  useRemoveMemberMutation,
  useWithdrawMutation,
} from './people.api.js';

const ROLES: readonly MemberRole[] = ['head', 'coach', 'student'];

const RolePicked = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: MemberRole;
  readonly onChange: (role: MemberRole) => void;
}): React.JSX.Element => (
  <Picked aria-label={label} value={value} onChange={(event) => onChange(event.target.value as MemberRole)}>
    {ROLES.map((role) => (
      <option key={role} value={role}>
        {role}
      </option>
    ))}
  </Picked>
);

const Failure = ({ error }: { readonly error: unknown }): React.JSX.Element | null =>
  error === undefined ? null : (
    <Box role="alert" color="caution" marginTop="2">
      {failureText(error)}
    </Box>
  );

const Invite = (): React.JSX.Element => {
  const [invite, { error, isLoading, data, originalArgs }] = useInviteMutation();
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<MemberRole>('coach');
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (!(await invite({ id: newId(), email, role })).error) setEmail('');
  };
  return (
    <Box marginTop="5" borderWidth="1px" borderColor="field" background="raised" padding="5" maxWidth="860px">
      <form aria-label={T.invite} onSubmit={(event) => void submit(event)}>
        <Flex gap="6" alignItems="flex-end">
          <Labelled label={T.email}>
            <Ruled type="email" required maxLength={254} value={email} onChange={(e) => setEmail(e.target.value)} />
          </Labelled>
          <Box width="130px">
            <Labelled label={T.as}>
              <RolePicked label={T.as} value={role} onChange={setRole} />
            </Labelled>
          </Box>
          <Action tone="next" type="submit" disabled={isLoading}>
            {T.send}
          </Action>
        </Flex>
        <Box color="inkSoft" fontSize="14px" marginTop="2">
          A {role} {ROLE_TEXT[role]}.
        </Box>
        <Failure error={error} />
        {data && !error && email === '' && <Box role="status">{T.sentTo(originalArgs?.email ?? '')}</Box>}
      </form>
    </Box>
  );
};

const MemberRow = ({
  member,
  mayChange,
}: {
  readonly member: Member;
  readonly mayChange: boolean;
}): React.JSX.Element => {
  const { data: me } = useMeQuery();
  const [changeRole, { error: roleError }] = useChangeRoleMutation();
  const [remove, { error: removeError }] = useRemoveMemberMutation();
  const [leave, { error: leaveError }] = useLeaveMutation();
  const navigate = useNavigate();
  const isMe = member.accountId === me?.account.id;
  const go = async (): Promise<void> => {
    if (!window.confirm(isMe ? T.leaveAsk : T.removeAsk(member.name))) return;
    if (!isMe) await remove(member.accountId);
    else if (!(await leave()).error) await navigate('/sign-in');
  };
  return (
    <Box as="li" borderBottomWidth="1px" paddingBlock="2.5" data-member={member.email}>
      <Flex alignItems="center" gap="5">
        <Box flex="1" minWidth="0">
          <Box as="span" fontWeight="600">
            {member.name}
          </Box>
          {isMe && (
            <Box as="span" color="inkSoft">
              {` (${T.you})`}
            </Box>
          )}
          <Box color="inkSoft" fontSize="14px">
            {ACCOUNTS_TEXT.since(member.email, dayText(member.since))}
          </Box>
        </Box>
        {mayChange ? (
          <RolePicked
            label={ACCOUNTS_TEXT.roleOf(member.name)}
            value={member.role}
            onChange={(role) => void changeRole({ accountId: member.accountId, role })}
          />
        ) : (
          <Box fontFamily="heading" fontSize="17px">
            {member.role}
          </Box>
        )}
        <Box width="170px" textAlign="right">
          {(isMe || mayChange) && <Action onClick={() => void go()}>{isMe ? T.leave : T.remove}</Action>}
        </Box>
      </Flex>
      <Failure error={roleError ?? removeError ?? leaveError} />
    </Box>
  );
};

/** Who signs in here: members with their roles, and invitations that are out. */
export const Accounts = (): React.JSX.Element => {
  const { data: me } = useMeQuery();
  const { data, error } = usePeopleQuery();
  const [withdraw, { error: withdrawError }] = useWithdrawMutation();
  const isHead = me?.role === 'head';
  return (
    <Box as="section" aria-label={T.accounts} maxWidth="860px">
      <Subheading fontSize="23px">{T.accounts}</Subheading>
      <Box color="inkSoft">
        {T.accountsLead} {data && T.accountsOf(data.accounts)}
      </Box>
      <Failure error={error} />
      <Box as="ul" listStyleType="none" marginTop="3" borderTopWidth="1px">
        {data?.members.map((member) => (
          <MemberRow key={member.accountId} member={member} mayChange={isHead} />
        ))}
        {data?.invitations.map((invitation) => (
          <Box as="li" key={invitation.id} borderBottomWidth="1px" paddingBlock="2.5" data-invited={invitation.email}>
            <Flex alignItems="center" gap="5">
              <Box flex="1">
                {invitation.email}
                <Box color="inkSoft" fontSize="14px">
                  {T.invited}, {T.until(dayText(invitation.expiresAt))}
                </Box>
              </Box>
              <Box fontFamily="heading" fontSize="17px" color="inkSoft">
                {invitation.role}
              </Box>
              <Box width="170px" textAlign="right">
                {isHead && <Action onClick={() => void withdraw(invitation.id)}>{T.withdraw}</Action>}
              </Box>
            </Flex>
          </Box>
        ))}
      </Box>
      <Failure error={withdrawError} />
      {isHead && <Invite />}
    </Box>
  );
};
