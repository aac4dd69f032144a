import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { Action } from '../../design/index.js';
import { NOTHING_FOR_STUDENTS, useMayWrite, useLibrary } from '../library/index.js';
import { DESK_TEXT as T, useOnBench } from './desk/index.js';
import { BenchTable } from './BenchTable.js';
import { NOTHING_REMEMBERED, type Remembered } from './cameras/index.js';

/** The screen for breaking down: the footage in the address, or the first on the shelf. Students watch; nothing is changed. */
export const Bench = (): React.JSX.Element => {
  const { footageId } = useParams();
  const { footage } = useLibrary();
  const mayWrite = useMayWrite();
  const [search] = useSearchParams();
  const remembered = useState<Remembered>(NOTHING_REMEMBERED);
  const bench = useOnBench(footageId, { cameraId: search.get('camera'), clipId: search.get('clip') });
  if (footageId === undefined && footage[0]) return <Navigate to={`/break-down/${footage[0].id}`} replace />;
  if (bench) return <BenchTable key={bench.angle.id} bench={bench} remembered={remembered} />;
  return (
    <Box padding="10">
      <Box marginBottom="4">{footageId !== undefined ? T.notThere : mayWrite ? T.noFootage : NOTHING_FOR_STUDENTS}</Box>
      <Action asChild>
        <Link to="/footage">{T.toShelf}</Link>
      </Action>
    </Box>
  );
};
