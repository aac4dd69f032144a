import type { Letter } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Resets } from '../accounts/resets.js';
import type { Client, TestApp } from './testApp.js';

/** Has all wishes for new passwords answered, as a worker does. */
export const wishesAnswered = async (app: TestApp): Promise<void> => {
  while (await app.app.get(Resets).answerOne());
};

/** The secret of the newest letter to somebody, as a head of an academy of the demo finds it. */
export const linkTo = async (head: Client, to: string): Promise<string> => {
  const letters = (await head.ask('GET', '/api/letters')).body as readonly Letter[];
  return /#([\w-]+)/.exec(letters.find((l) => l.to === to)!.body)![1]!;
};

/** Invites somebody and takes the invitation: a client with a session of theirs. */
export const joined = async (
  app: TestApp,
  head: Client,
  role: 'head' | 'coach' | 'student',
  name: string,
): Promise<Client & { readonly email: string }> => {
  const email = `${name.toLowerCase().replace(/\W/g, '.')}@room.example`;
  await head.ask('POST', '/api/invitations', { id: newId(), email, role });
  const token = await linkTo(head, email);
  const { headers, status } = await app
    .client()
    .ask('POST', '/api/invitation/accept', { token, name, password: 'long enough to hold' });
  if (status !== 200) throw new Error(`taking the invitation gave ${status}`);
  return { ...app.client(headers.get('set-cookie')!.split(';')[0]), email };
};
