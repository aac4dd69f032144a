import { Box, Flex } from '@chakra-ui/react';
import { BARE_ROUTE, BARE_STEP, placeName, type RouteStep, type WayOn } from '@odograph/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { Action, Picked } from '../../../design/index.js';
import { useLibrary, useMayWrite, useWords } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { PAGE_TEXT as T } from './page.text.js';

const NEW = 'new';

/** Puts lines of a sheet behind the steps of a route that is kept, or begins a route with them. */
export const PutIntoRoute = ({ lines }: { readonly lines: readonly [WayOn, ...WayOn[]] }): React.JSX.Element | null => {
  const { routes } = useLibrary();
  const mayWrite = useMayWrite();
  const words = useWords();
  const edit = useEdit();
  const names = lines.map((line) => T.from(words.name('action', line.action), placeName(line.from, words)));
  const [name] = names as [string];
  const [which, setWhich] = useState<string>();
  const [put, setPut] = useState<{ readonly id: string; readonly name: string }>();
  const into = which ?? routes[0]?.id ?? NEW;
  if (!mayWrite) return null;
  const onPut = (): void => {
    const steps = lines.map((line): RouteStep => ({ ...BARE_STEP, ...line, id: newId() }));
    const route = routes.find((r) => r.id === into);
    if (route) edit({ kind: 'route', id: route.id, changes: { steps: [...route.steps, ...steps] } });
    const id = route?.id ?? newId();
    if (!route) edit({ kind: 'new route', route: { id, version: 0, name, steps, ...BARE_ROUTE } });
    setPut({ id, name: route?.name ?? name });
  };
  return (
    <Flex gap="2" alignItems="center" wrap="wrap" marginTop="3">
      {put ? (
        <>
          <span role="status">{T.inRoute(put.name)}</span>
          <Action asChild tone="quiet">
            <Link to={`/routes/${put.id}`}>{T.toRoutePage}</Link>
          </Action>
        </>
      ) : (
        <>
          <Box flexBasis="100%" color="inkSoft" fontSize="14px">
            {T.thatGoes(names)}
          </Box>
          <Action onClick={onPut}>{T.toRoute}</Action>
          <Picked
            aria-label={T.whichRoute}
            value={into}
            maxWidth="190px"
            onChange={(e) => setWhich(e.currentTarget.value)}
          >
            {routes.map((r) => (
              <option key={r.id} value={r.id}>
                {r.name}
              </option>
            ))}
            <option value={NEW}>{T.newRoute}</option>
          </Picked>
        </>
      )}
    </Flex>
  );
};
