import { Box, Menu, Portal } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import { useDispatch, useSelector } from 'react-redux';
import { Link, useNavigate } from 'react-router';
import { Action } from '../../design/index.js';
import { selectPending } from '../replica/index.js';
import { serverApi, useMeQuery } from '../server/index.js';
import { forgetMedia } from '../player/index.js';
import { useGoToMutation, useSignOutMutation } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';

const item = {
  fontSize: '16px',
  fontFamily: 'heading',
  paddingBlock: '1.5',
  cursor: 'pointer',
  borderRadius: '0',
  color: 'ink',
  _highlighted: { background: 'inHandSoft' },
} as const;

/** Whose library it is, what can be taken out of it, and the way out. */
export const AccountMenu = (): React.JSX.Element | null => {
  const { data: me } = useMeQuery();
  const [signOut] = useSignOutMutation();
  const [goTo] = useGoToMutation();
  const unsaved = useSelector(selectPending).length > 0;
  const dispatch = useDispatch();
  const navigate = useNavigate();
  if (!me) return null;
  const leave = async (): Promise<void> => {
    if (unsaved && !window.confirm(T.unsaved)) return;
    await signOut();
    // pictures of people stay in no browser that somebody else may use next
    await forgetMedia();
    await navigate('/sign-in');
    dispatch(serverApi.util.resetApiState());
  };
  const goOver = async (academyId: string): Promise<void> => {
    if (unsaved) window.alert(T.waitForSaving);
    else if (!(await goTo({ academyId })).error) window.location.assign('/footage');
  };
  const sections = [...(me.role === 'student' ? [] : (['people', 'words', 'bin'] as const)), 'sessions' as const];
  return (
    <Menu.Root positioning={{ placement: 'bottom-end' }}>
      <Menu.Trigger asChild>
        <Action tone="quiet">
          {me.academy.name}
          <ChevronDown size={16} aria-hidden />
        </Action>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content
            background="raised"
            borderWidth="1px"
            borderColor="field"
            borderRadius="2px"
            boxShadow="none"
            minWidth="250px"
            padding="1"
          >
            <Box paddingInline="3" paddingBlock="2" color="inkSoft" fontSize="14px">
              {me.account.name}, {me.role}
            </Box>
            {me.role !== 'student' && (
              <Menu.Item value="to-do" {...item} asChild>
                <Link to="/to-do">{T.todo}</Link>
              </Menu.Item>
            )}
            <Menu.Item value="principles" {...item} asChild>
              <Link to="/principles">{T.principles}</Link>
            </Menu.Item>
            <Menu.Item value="follow" {...item} asChild>
              <Link to="/follow">{T.follow}</Link>
            </Menu.Item>
            {sections.map((section) => (
              <Menu.Item key={section} value={section} {...item} asChild>
                <Link to={`/academy/${section}`}>{T[section]}</Link>
              </Menu.Item>
            ))}
            {me.role !== 'student' && (
              <>
                <Menu.Separator borderColor="hairline" />
                <Menu.Item value="library" {...item} asChild>
                  <a href="/api/export/library.json" download>
                    {T.saveLibrary}
                  </a>
                </Menu.Item>
                <Menu.Item value="map" {...item} asChild>
                  <a href="/api/export/map.graphml" download>
                    {T.saveMap}
                  </a>
                </Menu.Item>
              </>
            )}
            <Menu.Separator borderColor="hairline" />
            {me.academies
              .filter((a) => a.id !== me.academy.id)
              .map((a) => (
                <Menu.Item key={a.id} value={a.id} {...item} onClick={() => void goOver(a.id)}>
                  {T.goOver(a.name)}
                </Menu.Item>
              ))}
            <Menu.Item value="leave" {...item} onClick={() => void leave()}>
              {T.signOut}
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
};
