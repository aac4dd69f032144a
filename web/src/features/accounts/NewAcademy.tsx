import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useFoundMutation } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';
import { EmailField, Entrance, EntranceField, PasswordField } from './Entrance.js';

/** Founds an academy: its name, and who is its head. */
export const NewAcademy = (): React.JSX.Element => {
  const [found, { isLoading, error }] = useFoundMutation();
  const [academyId] = useState(() => newId());
  const [academyName, setAcademyName] = useState('');
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  const submit = async (): Promise<void> => {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const answer = await found({ academyId, academyName, timeZone: timeZone || 'UTC', name, email, password });
    if (!answer.error) await navigate('/footage', { replace: true });
  };
  return (
    <Entrance
      title={T.foundTitle}
      lead={T.foundLead}
      submit={T.foundGo}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void submit()}
      below={<Link to="/sign-in">{T.toSignIn}</Link>}
    >
      <EntranceField label={T.academyName} name="academy" isFirst value={academyName} onChange={setAcademyName} />
      <EntranceField label={T.yourName} name="name" autoComplete="name" value={name} onChange={setName} />
      <EmailField value={email} onChange={setEmail} />
      <PasswordField isNew value={password} onChange={setPassword} />
    </Entrance>
  );
};
