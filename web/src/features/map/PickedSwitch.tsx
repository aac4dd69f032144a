import { Box } from '@chakra-ui/react';
import { useDispatch, useSelector } from 'react-redux';
import type { MapState } from './map.listener.js';
import { viewChosen } from './map.slice.js';
import { MAP_TEXT as T } from './map.text.js';

/** Takes clips of picked footage into the rates, against the usual rule, with the warning that belongs to it. */
export const PickedSwitch = (): React.JSX.Element => {
  const view = useSelector((state: MapState) => state.map.view);
  const { includePicked } = view;
  const dispatch = useDispatch();
  return (
    <Box fontSize="14px">
      <Box as="label" display="flex" gap="2" alignItems="center" cursor="pointer">
        <input
          type="checkbox"
          checked={includePicked}
          onChange={(e) => dispatch(viewChosen({ ...view, includePicked: e.target.checked }))}
        />
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
