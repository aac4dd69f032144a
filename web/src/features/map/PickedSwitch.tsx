import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { useOwn } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import type { MapState } from './map.listener.js';
import { viewChosen } from './map.slice.js';
import { MAP_TEXT as T } from './map.text.js';

/** Counts clips of highlights-only footage too, against the usual rule, with the warning that belongs to it. Each person's own choice, kept in the browser. */
export const PickedSwitch = (): React.JSX.Element => {
  const view = useSelector((state: MapState) => state.map.view);
  const { includePicked } = view;
  const account = useMeQuery().data?.account.id ?? '';
  const [own, setOwn] = useOwn(`odograph.highlights.${account}`, false);
  const dispatch = useDispatch();
  useEffect(() => {
    if (own !== includePicked) dispatch(viewChosen({ ...view, includePicked: own }));
  }, [own, includePicked, view, dispatch]);
  return (
    <Box fontSize="14px">
      <Box as="label" display="flex" gap="2" alignItems="center" cursor="pointer">
        <input type="checkbox" checked={own} onChange={(e) => setOwn(e.target.checked)} />
        {T.includePicked}
      </Box>
      {includePicked && (
        <Box role="status" color="inkSoft" marginTop="1">
          {T.pickedWarning}
        </Box>
      )}
    </Box>
  );
};

/** Why nothing is rated, where all that there is comes from highlights. */
export const OnlyPicked = ({ totals }: { readonly totals: MapPicture['totals'] }): React.JSX.Element | null =>
  totals.attempts === 0 && totals.picked > 0 ? (
    <Box role="status" paddingInline="4" paddingBottom="2" maxWidth="860px">
      {T.onlyPicked(totals.picked)}
    </Box>
  ) : null;
