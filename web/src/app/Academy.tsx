import { Box, Flex } from '@chakra-ui/react';
import { NavLink, Outlet } from 'react-router';
import { useRole } from '../features/library/index.js';
import { ACADEMY_TEXT } from './app.text.js';

const SECTIONS = [
  { to: 'people', for: ['head', 'coach'] },
  { to: 'words', for: ['head', 'coach'] },
  { to: 'policy', for: ['head', 'coach'] },
  { to: 'bin', for: ['head', 'coach'] },
  { to: 'disk', for: ['head', 'coach'] },
  { to: 'letters', for: ['head'] },
  { to: 'sessions', for: ['head', 'coach', 'student'] },
] as const;

/** What belongs to the academy itself, beside the work: a narrow list of sections, the section beside it. */
export const Academy = (): React.JSX.Element => {
  const role = useRole();
  return (
    <Flex flex="1" minHeight="0" direction={{ base: 'column', md: 'row' }}>
      <Flex
        as="nav"
        aria-label={ACADEMY_TEXT.academy}
        direction={{ base: 'row', md: 'column' }}
        wrap="wrap"
        width={{ base: '100%', md: '168px' }}
        flexShrink="0"
        borderRightWidth={{ base: '0', md: '1px' }}
        borderBottomWidth={{ base: '1px', md: '0' }}
        paddingTop={{ base: '2', md: '5' }}
      >
        {SECTIONS.filter((s) => s.for.some((r) => r === role)).map(({ to }) => (
          <Box
            key={to}
            asChild
            paddingInline="5"
            paddingBlock="1.5"
            fontFamily="heading"
            fontSize="18px"
            color="inkSoft"
            borderLeftWidth="3px"
            css={{
              borderLeftColor: 'transparent',
              '&[aria-current=page]': { color: 'ink', borderLeftColor: 'var(--od-inHand)' },
            }}
          >
            <NavLink to={`/academy/${to}`}>{ACADEMY_TEXT.sections[to]}</NavLink>
          </Box>
        ))}
      </Flex>
      <Box
        flex="1"
        minWidth="0"
        overflowY="auto"
        paddingInline={{ base: '4', md: '8' }}
        paddingTop="5"
        paddingBottom="12"
      >
        <Outlet />
      </Box>
    </Flex>
  );
};
