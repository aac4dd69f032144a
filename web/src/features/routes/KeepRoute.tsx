import { Flex } from '@chakra-ui/react';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import type { MapRoute } from '../../workers/map.protocol.js';
import { Action, Counted, Labelled } from '../../design/index.js';
import { useEdit } from '../replica/index.js';
import { keptOf } from './shownRoute.js';
import { ROUTES_TEXT as T } from './routes.text.js';

/** Keeps a found route under a name. */
export const KeepRoute = ({
  route,
  suggested,
}: {
  readonly route: MapRoute;
  readonly suggested: string;
}): React.JSX.Element => {
  const edit = useEdit();
  const navigate = useNavigate();
  const [name, setName] = useState<string | null>(null);
  if (name === null) return <Action onClick={() => setName(suggested)}>{T.keep}</Action>;
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    if (!name.trim()) return;
    const kept = keptOf(route, name.trim());
    edit({ kind: 'new route', route: kept });
    void navigate(`/routes/${kept.id}`);
  };
  return (
    <form onSubmit={keep}>
      <Flex gap="3" alignItems="flex-end">
        <Labelled label={T.keepAs}>
          <Counted
            autoFocus
            width="300px"
            limit={120}
            value={name}
            onFocus={(event) => event.target.select()}
            onChange={(event) => setName(event.target.value)}
          />
        </Labelled>
        <Action tone="next" type="submit">
          {T.keeping}
        </Action>
        <Action type="button" onClick={() => setName(null)}>
          {T.cancel}
        </Action>
      </Flex>
    </form>
  );
};
