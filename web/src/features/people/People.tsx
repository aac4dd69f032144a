import { Heading } from '../../design/index.js';
import { useMayWrite } from '../library/index.js';
import { Accounts } from './Accounts.js';
import { Persons } from './Persons.js';
import { PEOPLE_SAYS } from './people.text.js';

/** Everybody: who signs in, and who is on the mat. */
export const People = (): React.JSX.Element | null =>
  useMayWrite() ? (
    <>
      <Heading marginBottom="5">{PEOPLE_SAYS.people}</Heading>
      <Accounts />
      <Persons />
    </>
  ) : null;
