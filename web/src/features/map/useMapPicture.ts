import { useEffect } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { MapPicture } from '../../workers/map.protocol.js';
import type { MapState } from './map.listener.js';
import { mapWanted } from './map.slice.js';

/** The map as computed last; null while it has not been. */
export const useMapPicture = (): MapPicture | null => {
  const dispatch = useDispatch();
  const picture = useSelector((state: MapState) => state.map.picture);
  const wanted = useSelector((state: MapState) => state.map.wanted);
  useEffect(() => {
    if (!wanted) dispatch(mapWanted());
  }, [wanted, dispatch]);
  return picture;
};
