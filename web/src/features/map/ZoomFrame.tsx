import { Box, Flex } from '@chakra-ui/react';
import {
  useEffect,
  useState,
  useSyncExternalStore,
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
} from 'react';
import { Action } from '../../design/index.js';
import { ZOOM_TEXT as T } from './map.text.js';
import { ZOOM_STEP, factorOfWheel } from './zoom.js';
import type { Magnifier } from './magnifier.js';

const KEYS: ReadonlyMap<string, number> = new Map([
  ['+', ZOOM_STEP],
  ['=', ZOOM_STEP],
  ['-', 1 / ZOOM_STEP],
  ['−', 1 / ZOOM_STEP],
]);

/** What is pressed there does something of its own. */
const ACTS = '[data-place], [data-line], button, a, input';

/** Shows a picture under a magnifier (Ctrl and the wheel, two fingers, keys) and lets it be dragged. Another `of` is shown in its own size again. */
export const ZoomFrame = ({
  magnifier,
  of,
  children,
}: {
  readonly magnifier: Magnifier;
  readonly of: string;
  readonly children: ReactNode;
}): React.JSX.Element => {
  // drawn anew only as it becomes larger than itself, or no longer is: not with every move
  const isLarger = useSyncExternalStore(magnifier.subscribe, magnifier.isLarger);
  const [held, setHeld] = useState(false);
  useEffect(() => magnifier.rest(), [of, magnifier]);
  useEffect(() => {
    const { frame } = magnifier;
    // the page itself must not grow: only a listener that is not passive may say so
    const onWheel = (event: WheelEvent): void => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      magnifier.by(factorOfWheel(event.deltaY), event);
    };
    frame?.addEventListener('wheel', onWheel, { passive: false });
    return () => frame?.removeEventListener('wheel', onWheel);
  }, [magnifier]);

  const onKeyDown = (event: KeyboardEvent): void => {
    const factor = KEYS.get(event.key);
    if (event.ctrlKey || event.metaKey || event.altKey || (factor === undefined && event.key !== '0')) return;
    if (factor === undefined) magnifier.rest();
    else magnifier.by(factor);
    event.preventDefault();
  };
  const onPointerDown = (event: PointerEvent): void => {
    if (event.button !== 0 || (event.target as Element).closest(ACTS)) return;
    setHeld(true);
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const onPointerMove = ({ movementX, movementY }: PointerEvent): void => {
    if (held) magnifier.frame?.scrollBy(-movementX, -movementY);
  };
  const letGo = (): void => setHeld(false);
  return (
    <Box
      ref={(element: HTMLDivElement | null) => magnifier.throughFrame(element)}
      data-testid="map-frame"
      width="100%"
      height="100%"
      overflowX="auto"
      overflowY={isLarger ? 'auto' : 'hidden'}
      cursor={!isLarger ? undefined : held ? 'grabbing' : 'grab'}
      onKeyDown={onKeyDown}
      {...{ onPointerDown, onPointerMove, onPointerUp: letGo, onPointerCancel: letGo }}
    >
      <Box ref={(element: HTMLDivElement | null) => magnifier.inRoom(element)}>
        <Box
          ref={(element: HTMLDivElement | null) => magnifier.atPicture(element)}
          width="max-content"
          transformOrigin="0 0"
        >
          {children}
        </Box>
      </Box>
    </Box>
  );
};

/** How large it is now; the buttons round it stay as they are while it changes. */
const Percent = ({ magnifier }: { readonly magnifier: Magnifier }): string =>
  T.percent(useSyncExternalStore(magnifier.subscribe, magnifier.zoom));

/** How large the picture is shown, with a press for each way. */
export const ZoomButtons = ({ magnifier }: { readonly magnifier: Magnifier }): React.JSX.Element => (
  <Flex role="group" aria-label={T.title} title={T.hint} alignItems="baseline" fontSize="14px">
    <Action tone="quiet" aria-label={T.smaller} onClick={() => magnifier.by(1 / ZOOM_STEP)}>
      −
    </Action>
    <Action tone="quiet" aria-label={T.whole} onClick={() => magnifier.rest()}>
      <Percent magnifier={magnifier} />
    </Action>
    <Action tone="quiet" aria-label={T.larger} onClick={() => magnifier.by(ZOOM_STEP)}>
      +
    </Action>
  </Flex>
);
