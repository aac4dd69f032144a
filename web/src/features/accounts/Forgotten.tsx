import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useSetPasswordMutation, useWishResetMutation } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';
import { EmailField, Entrance, PasswordField } from './Entrance.js';

const below = <Link to="/sign-in">{T.toSignIn}</Link>;

/** Asks for a link with which a new password can be set. */
export const Forgotten = (): React.JSX.Element => {
  const [wish, { isLoading, isSuccess, error }] = useWishResetMutation();
  const [email, setEmail] = useState('');
  if (isSuccess) return <Entrance title={T.forgottenTitle} lead={T.forgottenDone} below={below} />;
  return (
    <Entrance
      title={T.forgottenTitle}
      lead={T.forgottenLead}
      submit={T.forgottenGo}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void wish({ email })}
      below={below}
    >
      <EmailField isFirst value={email} onChange={setEmail} />
    </Entrance>
  );
};

/** Sets a new password by the secret behind the # of the address. */
export const NewPassword = (): React.JSX.Element => {
  const token = useLocation().hash.slice(1);
  const [setNew, { isLoading, error }] = useSetPasswordMutation();
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  if (token === '') return <Entrance title={T.newPasswordTitle} lead={T.linkCut} below={below} />;
  const submit = async (): Promise<void> => {
    const answer = await setNew({ token, password });
    if (!answer.error) await navigate('/footage', { replace: true });
  };
  return (
    <Entrance
      title={T.newPasswordTitle}
      lead={T.newPasswordLead}
      submit={T.newPasswordGo}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void submit()}
      below={below}
    >
      <PasswordField isNew isFirst value={password} onChange={setPassword} />
    </Entrance>
  );
};
