import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { failureText } from '../library/index.js';
import { useFoundMutation, useLookAtFoundingQuery } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';
import { EmailField, Entrance, EntranceField, PasswordField } from './Entrance.js';

const below = <Link to="/sign-in">{T.toSignIn}</Link>;

/** Founds an academy, where that is open to all or somebody was invited to. An invitation's secret stands behind the # of the address. */
export const NewAcademy = (): React.JSX.Element => {
  const token = useLocation().hash.slice(1);
  const invitation = token === '' ? null : token;
  const { data, error } = useLookAtFoundingQuery({ invitation });
  if (error) return <Entrance title={T.foundTitle} lead={failureText(error)} below={below} />;
  if (!data) return <Entrance title={T.foundTitle} lead={T.looking} />;
  if (!data.isOpen && data.email === null)
    return <Entrance title={T.foundTitle} lead={invitation === null ? T.foundClosed : T.foundSpent} below={below} />;
  return <FoundingForm invitation={data.isOpen ? null : invitation} invitedEmail={data.isOpen ? null : data.email} />;
};

type Props = { readonly invitation: string | null; readonly invitedEmail: string | null };

/** The academy's name, and who is its head. */
const FoundingForm = ({ invitation, invitedEmail }: Props): React.JSX.Element => {
  const [found, { isLoading, error }] = useFoundMutation();
  const [academyId] = useState(() => newId());
  const [academyName, setAcademyName] = useState('');
  const [name, setName] = useState('');
  const [email, setEmail] = useState(invitedEmail ?? '');
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  const submit = async (): Promise<void> => {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const answer = await found({
      academyId,
      academyName,
      timeZone: timeZone || 'UTC',
      name,
      email,
      password,
      invitation,
    });
    if (!answer.error) await navigate('/footage', { replace: true });
  };
  return (
    <Entrance
      title={T.foundTitle}
      lead={invitedEmail === null ? T.foundLead : `${T.foundInvited(invitedEmail)} ${T.foundLead}`}
      submit={T.foundGo}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void submit()}
      below={below}
    >
      <EntranceField label={T.academyName} name="academy" isFirst value={academyName} onChange={setAcademyName} />
      <EntranceField label={T.yourName} name="name" autoComplete="name" value={name} onChange={setName} />
      {invitedEmail === null && <EmailField value={email} onChange={setEmail} />}
      <PasswordField isNew value={password} onChange={setPassword} />
    </Entrance>
  );
};
