import { useEffect, useState } from 'react';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { useLazyMeQuery } from '../server/index.js';
import { useSignInMutation } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';
import { EmailField, Entrance, PasswordField } from './Entrance.js';

const isOwnAddress = (address: string | null): address is string => address !== null && /^\/(?!\/)/.test(address);

export const SignIn = (): React.JSX.Element => {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  const [asked] = useSearchParams();
  const next = asked.get('next');
  const onward = isOwnAddress(next) ? next : '/footage';
  const [look] = useLazyMeQuery();
  const [isIn, setIn] = useState(false);
  useEffect(() => {
    // asked anew: what is known of a session that is over says nothing
    look()
      .unwrap()
      .then(
        () => setIn(true),
        () => undefined,
      );
  }, [look]);
  if (isIn) return <Navigate to={onward} replace />;
  const submit = async (): Promise<void> => {
    const answer = await signIn({ email, password });
    if (!answer.error) await navigate(onward, { replace: true });
  };
  return (
    <Entrance
      title={T.title}
      lead={asked.has('ended') ? T.ended : undefined}
      submit={T.go}
      isWaiting={isLoading}
      error={error}
      onSubmit={() => void submit()}
      below={
        <>
          <Link to="/forgotten">{T.forgotten}</Link>
          <Link to="/new-academy">{T.found}</Link>
        </>
      }
    >
      <EmailField isFirst value={email} onChange={setEmail} />
      <PasswordField isNew={false} value={password} onChange={setPassword} />
    </Entrance>
  );
};
