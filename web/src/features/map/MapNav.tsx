import { Box, Flex } from '@chakra-ui/react';
import { NavLink } from 'react-router';
import { MAP_NAV_TEXT as T } from './map.text.js';

/** Leads from each page that the map gives to the others. */
export const MapNav = (): React.JSX.Element => (
  <Flex as="nav" aria-label={T.label} wrap="wrap" columnGap="4" fontSize="15px" className="no-print">
    {Object.entries(T.to).map(([to, name]) => (
      <Box asChild key={to} color="inkSoft" _currentPage={{ color: 'ink', fontWeight: '600', textDecoration: 'none' }}>
        <NavLink to={to} end>
          {name}
        </NavLink>
      </Box>
    ))}
  </Flex>
);
