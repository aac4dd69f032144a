import { Box, Flex } from '@chakra-ui/react';
import { useLayoutEffect, type FormEvent } from 'react';
import { Action, Heading, Labelled, ProfileMark, Ruled } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';

type FieldProps = {
  readonly label: string;
  readonly name: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly type?: 'text' | 'email' | 'password';
  readonly autoComplete?: string;
  readonly hint?: string;
  readonly isFirst?: boolean;
};

/** A field on the way in. */
export const EntranceField = ({
  label,
  name,
  value,
  onChange,
  type = 'text',
  autoComplete,
  hint,
  isFirst = false,
}: FieldProps): React.JSX.Element => (
  <Box marginBottom="5">
    <Labelled label={label} hint={hint}>
      <Ruled
        type={type}
        name={name}
        autoComplete={autoComplete}
        maxLength={type === 'email' ? 254 : 200}
        required
        autoFocus={isFirst}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </Labelled>
  </Box>
);

type Simple = Pick<FieldProps, 'value' | 'onChange' | 'isFirst'>;

export const EmailField = (props: Simple): React.JSX.Element => (
  <EntranceField label={T.email} name="email" type="email" autoComplete="username" {...props} />
);

/** A password: one that is there, or a new one, which has to be long enough. */
export const PasswordField = ({ isNew, ...props }: Simple & { readonly isNew: boolean }): React.JSX.Element => (
  <EntranceField
    label={T.password}
    name="password"
    type="password"
    autoComplete={isNew ? 'new-password' : 'current-password'}
    {...(isNew ? { hint: T.passwordHint } : {})}
    {...props}
  />
);

type Props = {
  readonly title: string;
  readonly lead?: React.ReactNode | undefined;
  readonly submit?: string;
  readonly isWaiting?: boolean;
  readonly error?: unknown;
  readonly onSubmit?: () => void;
  readonly children?: React.ReactNode;
  readonly below?: React.ReactNode;
};

/** The page of everybody who is not in yet: what it is for on the left, one short form on the right. */
export const Entrance = ({
  title,
  lead,
  submit,
  isWaiting = false,
  error,
  onSubmit,
  children,
  below,
}: Props): React.JSX.Element => {
  useLayoutEffect(() => {
    document.title = `${title} – Odograph`;
    document.documentElement.dataset['room'] = 'paper';
  }, [title]);
  const go = (event: FormEvent): void => {
    event.preventDefault();
    onSubmit?.();
  };
  return (
    <Flex as="main" minHeight="100%" alignItems="stretch">
      <Flex
        flex="1"
        direction="column"
        justifyContent="flex-end"
        padding="12"
        borderRightWidth="1px"
        display={{ base: 'none', md: 'flex' }}
      >
        <ProfileMark />
        <Box fontFamily="heading" fontSize="34px" fontWeight="500" lineHeight="1.15" maxWidth="16em" marginTop="8">
          {T.claim}
        </Box>
        <Box color="inkSoft" marginTop="3" maxWidth="34em">
          {T.claimMore}
        </Box>
      </Flex>
      <Flex flex="1" direction="column" justifyContent="center" padding="12" maxWidth="560px">
        <Box fontFamily="heading" fontSize="22px" fontWeight="600" color="us" marginBottom="10">
          {T.product}
        </Box>
        <Heading marginBottom={lead ? '2' : '6'}>{title}</Heading>
        {lead && (
          <Box color="inkSoft" marginBottom="6">
            {lead}
          </Box>
        )}
        <form onSubmit={go}>
          {children}
          {error !== undefined && error !== null && (
            <Box role="alert" color="caution" marginBottom="4">
              {failureText(error)}
            </Box>
          )}
          {submit !== undefined && (
            <Action tone="next" type="submit" disabled={isWaiting}>
              {isWaiting ? T.going : submit}
            </Action>
          )}
        </form>
        {below && (
          <Flex gap="6" marginTop="8" fontSize="15px" css={{ '& a': { textDecoration: 'underline' } }}>
            {below}
          </Flex>
        )}
      </Flex>
    </Flex>
  );
};
