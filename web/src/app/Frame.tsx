import { Box, Flex } from '@chakra-ui/react';
import { Suspense, useDeferredValue, useLayoutEffect } from 'react';
import { Navigate, NavLink, Outlet, useLocation } from 'react-router';
import { AccountMenu, SignedIn } from '../features/accounts/index.js';
import { Refusal, SaveState, failureText, useMayWrite } from '../features/library/index.js';
import { useNews } from '../features/replica/index.js';
import { useLibraryQuery } from '../features/server/index.js';
import { Action, ProfileMark } from '../design/index.js';
import { FRAME_TEXT } from './app.text.js';

/** The screens in the order of the work. */
const SCREENS = ['/footage', '/break-down', '/clips', '/map', '/routes'] as const;

const DARK = ['/break-down', '/routes/play', '/follow', '/wall'];
/** Here nothing but the screen itself is seen. */
const ALONE = ['/wall'];

const Bar = (): React.JSX.Element => {
  const mayWrite = useMayWrite();
  return (
    <Flex
      as="header"
      minHeight="44px"
      flexShrink="0"
      flexWrap={{ base: 'wrap', lg: 'nowrap' }}
      alignItems="center"
      gap="5"
      rowGap="0"
      paddingInline="4"
      borderBottomWidth="1px"
      background="ground"
    >
      <Box
        as="span"
        display="inline-flex"
        alignItems="center"
        gap="2"
        fontFamily="heading"
        fontWeight="600"
        fontSize="20px"
        color="us"
      >
        <ProfileMark small />
        {FRAME_TEXT.odograph}
      </Box>
      <Flex
        as="nav"
        aria-label={FRAME_TEXT.screens}
        gap={{ base: '0', sm: '1' }}
        height={{ base: '40px', lg: '44px' }}
        // a narrow window has them in a row of their own
        order={{ base: 1, lg: 0 }}
        width={{ base: '100%', lg: 'auto' }}
        marginInline={{ base: '-2', lg: '0' }}
      >
        {SCREENS.filter((to) => mayWrite || to !== '/break-down').map((to) => (
          <Box
            key={to}
            asChild
            display="flex"
            alignItems="center"
            paddingInline={{ base: '2', sm: '3' }}
            height="100%"
            whiteSpace="nowrap"
            fontFamily="heading"
            fontSize="18px"
            fontWeight="500"
            color="inkSoft"
            borderBottomWidth="3px"
            paddingTop="3px"
            css={{
              borderBottomColor: 'transparent',
              '&[aria-current=page]': { color: 'ink', borderBottomColor: 'var(--od-inHand)' },
            }}
          >
            <NavLink to={to}>{FRAME_TEXT.to[to]}</NavLink>
          </Box>
        ))}
      </Flex>
      <Box flex="1" />
      <SaveState />
      <AccountMenu />
    </Flex>
  );
};

const Inside = (): React.JSX.Element | null => {
  const { data, error, refetch } = useLibraryQuery(undefined, { refetchOnMountOrArgChange: false });
  const end = useNews();
  const isHere = useDeferredValue(data !== undefined);
  if (end === 'signed-out') return <Navigate to="/sign-in?ended=1" replace />;
  if (data && isHere)
    return (
      <>
        {end === 'role' && (
          <Box role="status" paddingInline="4" paddingBlock="1.5" background="inHandSoft" borderBottomWidth="1px">
            {FRAME_TEXT.otherRole}
          </Box>
        )}
        <Outlet />
      </>
    );
  if (!error) return <Box padding="8">{FRAME_TEXT.loadingTheLibrary}</Box>;
  return (
    <Box padding="8" role="alert">
      <Box marginBottom="4">{failureText(error)}</Box>
      <Action onClick={() => void refetch()}>{FRAME_TEXT.tryAgain}</Action>
    </Box>
  );
};

/** The bar and the screen below it. Where the picture is what one looks at, the room is dark. */
export const Frame = (): React.JSX.Element => {
  const { pathname } = useLocation();
  const isDark = DARK.some((start) => pathname.startsWith(start));
  useLayoutEffect(() => {
    const titles = Object.entries({ ...FRAME_TEXT.to, ...FRAME_TEXT.beside });
    const title = titles.find(([path]) => pathname.startsWith(path))?.[1];
    document.title = [...(title === undefined ? [] : [title]), FRAME_TEXT.odograph].join(' – ');
  }, [pathname]);
  useLayoutEffect(() => {
    document.documentElement.dataset['room'] = isDark ? 'dark' : 'paper';
  }, [isDark]);
  return (
    <SignedIn>
      <Flex direction="column" height="100%" background="ground" color="ink">
        {!ALONE.some((start) => pathname.startsWith(start)) && <Bar />}
        <Refusal />
        <Flex as="main" direction="column" flex="1" minHeight="0" overflow="auto">
          <Suspense>
            <Inside />
          </Suspense>
        </Flex>
      </Flex>
    </SignedIn>
  );
};
