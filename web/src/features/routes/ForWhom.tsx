import { Flex } from '@chakra-ui/react';
import { AGE_GROUPS, LEVELS, type KeptRoute } from '@odograph/core';
import { Picked } from '../../design/index.js';
import { AGE_TEXT, LEVEL_TEXT } from '../policy/index.js';
import { useEdit } from '../replica/index.js';
import { FOR_WHOM_TEXT as T } from './routes.text.js';

/** For whom a route is: what isn't said counts as the lowest. */
export const ForWhom = ({ route }: { readonly route: KeptRoute }): React.JSX.Element => {
  const edit = useEdit();
  const { id, forLevel, forAge } = route;
  return (
    <Flex gap="2" alignItems="center" fontSize="16px">
      {T.for}
      <Picked
        aria-label={T.level}
        fontSize="16px"
        value={forLevel ?? ''}
        onChange={({ target }) =>
          edit({ kind: 'route', id, changes: { forLevel: LEVELS.find((l) => l === target.value) ?? null } })
        }
      >
        <option value="">{T.anyLevel}</option>
        {LEVELS.map((level) => (
          <option key={level} value={level}>
            {LEVEL_TEXT[level]}
          </option>
        ))}
      </Picked>
      <Picked
        aria-label={T.age}
        fontSize="16px"
        value={forAge ?? ''}
        onChange={({ target }) =>
          edit({ kind: 'route', id, changes: { forAge: AGE_GROUPS.find((a) => a === target.value) ?? null } })
        }
      >
        <option value="">{T.anyAge}</option>
        {AGE_GROUPS.map((age) => (
          <option key={age} value={age}>
            {AGE_TEXT[age]}
          </option>
        ))}
      </Picked>
    </Flex>
  );
};
