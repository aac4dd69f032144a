import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Action, Heading, Mono } from '../../../design/index.js';
import { KEYS_TEXT as T, KEY_ACTIONS, capText } from './keys.text.js';
import { against, keyNow, type OwnKeys, withKey } from './ownKeys.js';
import { keyName } from './usePictureKeys.js';

const ACTIONS = KEY_ACTIONS.map((a) => a.press);
const doesOf = (press: string): string => KEY_ACTIONS.find((a) => a.press === press)?.does ?? press;

type Problem = { readonly press: string; readonly text: string };

/** Every key of the bench with what it does, in the place of the list of clips; each can be put on another key. */
export const KeySheet = ({
  own,
  onOwn,
  onLeave,
}: {
  readonly own: OwnKeys;
  readonly onOwn: (own: OwnKeys) => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const [changing, setChanging] = useState<string | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const root = useRef<HTMLDivElement>(null);
  useEffect(() => root.current?.focus(), []);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (changing === null) {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      onLeave();
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    if (['Shift', 'Control', 'Alt', 'Meta', 'AltGraph'].includes(event.key)) return;
    if (event.key === 'Escape') {
      setChanging(null);
      return;
    }
    const key = keyName(event);
    const why = against(changing, key, own, ACTIONS);
    setProblem(
      why && { press: changing, text: why.kind === 'taken' ? T.taken(capText(key), doesOf(why.by)) : T.notFree },
    );
    if (why) return;
    onOwn(withKey(own, changing, key));
    setChanging(null);
  };
  return (
    <Box
      ref={root}
      as="section"
      aria-label={T.sheet}
      tabIndex={-1}
      outline="none"
      height="100%"
      overflowY="auto"
      borderLeftWidth="1px"
      onKeyDown={onKeyDown}
      data-testid="key-sheet"
    >
      <Flex paddingInline="4" paddingTop="3" paddingBottom="2" gap="3" alignItems="baseline" borderBottomWidth="1px">
        <Heading fontSize="22px" flex="1">
          {T.title}
        </Heading>
        {Object.keys(own).length > 0 && (
          <Action tone="quiet" onClick={() => onOwn({})}>
            {T.reset}
          </Action>
        )}
        <Action onClick={onLeave}>{T.back}</Action>
      </Flex>
      <Box as="ul" listStyleType="none" paddingInline="4">
        {KEY_ACTIONS.map(({ press, does }) => (
          <Box as="li" key={press} borderBottomWidth="1px" paddingBlock="0.5">
            <Flex gap="3" alignItems="baseline">
              <Mono width="60px" fontSize="13px" color={own[press] === undefined ? 'ink' : 'inHand'}>
                {changing === press ? '…' : capText(keyNow(press, own))}
              </Mono>
              <Box flex="1" fontSize="15px">
                {does}
              </Box>
              <Action
                tone="quiet"
                fontSize="14px"
                paddingBlock="0"
                aria-label={`${T.change}: ${does}`}
                aria-pressed={changing === press}
                onClick={() => {
                  setProblem(null);
                  setChanging(changing === press ? null : press);
                }}
              >
                {changing === press ? T.press : T.change}
              </Action>
            </Flex>
            {problem?.press === press && (
              <Box role="alert" color="caution" fontSize="14px">
                {problem.text}
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
};
