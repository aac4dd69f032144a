import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { Action, Subheading } from '../../../design/index.js';
import { useLibrary } from '../../library/index.js';
import { useForgetUploadMutation } from '../../server/index.js';
import { FOOTAGE_TEXT as T } from '../footage.text.js';
import { TakeIn } from '../TakeIn.js';
import { AnotherCamera } from './AnotherCamera.js';
import type { Coming } from './coming.js';
import { sender } from './sending.js';

const Line = ({ of }: { readonly of: Coming }): React.JSX.Element => {
  const isBad = of.state === 'refused';
  return (
    <Box
      role={isBad ? 'alert' : 'status'}
      color={isBad ? 'caution' : 'ink'}
      data-testid="taking-in"
      minWidth="0"
      flex="1"
    >
      <Box
        fontFamily="mono"
        fontSize="13px"
        color="inkSoft"
        overflow="hidden"
        textOverflow="ellipsis"
        whiteSpace="nowrap"
      >
        {of.name}
      </Box>
      {of.part !== undefined && (
        <Box height="3px" background="hairline" marginBlock="1.5">
          <Box
            height="100%"
            background={of.state === 'paused' || of.state === 'broken off' ? 'inkSoft' : 'us'}
            width={`${of.part * 100}%`}
          />
        </Box>
      )}
      {of.says}
    </Box>
  );
};

type Props = {
  readonly coming: readonly Coming[];
  /** Whose sheet is open. */
  readonly open: string | null;
  readonly onOpen: (id: string | null) => void;
  readonly onChanged: () => void;
  /** Files were chosen to go on with. */
  readonly onFiles: (files: readonly File[]) => void;
};

/** What is coming in: how far it is, and what can be done with it. */
export const ComingIn = ({ coming, open, onOpen, onChanged, onFiles }: Props): React.JSX.Element | null => {
  const [forget] = useForgetUploadMutation();
  const { footage, angles } = useLibrary();
  const [asking, setAsking] = useState<string | null>(null);
  const again = useRef<HTMLInputElement>(null);
  const drop = (id: string): void => {
    setAsking(null);
    sender.drop(id);
    void forget(id).then(onChanged);
  };
  if (!coming.length) return null;
  return (
    <Box as="section" aria-label={T.coming} maxWidth="1120px" marginBottom="6">
      <Subheading marginBottom="2">{T.coming}</Subheading>
      <input
        ref={again}
        type="file"
        hidden
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <Box as="ul" listStyleType="none" borderTopWidth="1px">
        {coming.map((of) => {
          const here = of.state === 'here already' ? angles.find((a) => a.fileId === of.fileId) : undefined;
          const title = here && footage.find((f) => f.id === here.footageId)?.title;
          const mayOpen = !['refused', 'here already', 'broken off', 'waiting'].includes(of.state);
          if (open === of.id && mayOpen)
            return (
              <Box as="li" key={of.id} paddingTop="4">
                <TakeIn fileId={of.id} fileName={of.name} isTaken={of.state === 'taken'} onDone={() => onOpen(null)}>
                  <Box marginBottom="5">
                    <Line of={of} />
                  </Box>
                </TakeIn>
              </Box>
            );
          return (
            <Flex
              as="li"
              key={of.id}
              gap="5"
              paddingBlock="3"
              borderBottomWidth="1px"
              alignItems="center"
              data-coming={of.state}
            >
              <Line of={of} />
              <Flex gap="2" flexShrink="0">
                {of.state === 'sending' && <Action onClick={() => sender.pause(of.id)}>{T.pause}</Action>}
                {of.state === 'paused' && (
                  <Action tone="next" onClick={() => sender.resume(of.id)}>
                    {T.goOn}
                  </Action>
                )}
                {of.state === 'broken off' && (
                  <Action tone="next" onClick={() => again.current?.click()}>
                    {T.chooseAgain}
                  </Action>
                )}
                {mayOpen && (
                  <Action tone={of.state === 'taken' ? 'next' : 'plain'} onClick={() => onOpen(of.id)}>
                    {T.sayWhat}
                  </Action>
                )}
                {of.state === 'taken' && footage.length > 0 && <AnotherCamera fileId={of.id} onDone={onChanged} />}
                {here && (
                  <Action asChild>
                    <Link to={`/break-down/${here.footageId}`}>{T.goTo(title ?? '')}</Link>
                  </Action>
                )}
                {asking === of.id ? (
                  <Action onClick={() => drop(of.id)}>{T.reallyDrop}</Action>
                ) : (
                  of.state !== 'reading' && (
                    <Action
                      onClick={() =>
                        of.state === 'refused' || of.state === 'here already' ? drop(of.id) : setAsking(of.id)
                      }
                    >
                      {of.state === 'refused' || of.state === 'here already' ? T.offList : T.giveUp}
                    </Action>
                  )
                )}
              </Flex>
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
};
