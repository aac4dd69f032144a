import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { failureText } from '../library/index.js';
import { useAcceptMutation, useLookAtInvitationQuery } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';
import { Entrance, EntranceField, PasswordField } from './Entrance.js';

/** Takes an invitation. Its secret stands behind the # of the address, which no server gets to see on the way. */
export const Invitation = (): React.JSX.Element => {
  const token = useLocation().hash.slice(1);
  const { data, error: spent } = useLookAtInvitationQuery(token, { skip: token === '' });
  const [accept, { isLoading, error }] = useAcceptMutation();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  const below = <Link to="/sign-in">{T.toSignIn}</Link>;
  if (token === '' || spent)
    return <Entrance title={T.invitationTitle} lead={spent ? failureText(spent) : T.linkCut} below={below} />;
  if (!data) return <Entrance title={T.invitationTitle} lead={T.looking} />;
  const submit = async (): Promise<void> => {
    const answer = await accept({ token, name, password });
    if (!answer.error) await navigate('/footage', { replace: true });
  };
  return (
    <Entrance
      title={data.academy}
      lead={T.invited(data.email, data.role, data.hasAccount)}
      submit={T.invitationGo}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void submit()}
      below={below}
    >
      {!data.hasAccount && (
        <EntranceField label={T.yourName} name="name" autoComplete="name" isFirst value={name} onChange={setName} />
      )}
      <PasswordField isNew={!data.hasAccount} isFirst={data.hasAccount} value={password} onChange={setPassword} />
    </Entrance>
  );
};
