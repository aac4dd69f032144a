import { Box, Flex } from '@chakra-ui/react';
import { useState, useSyncExternalStore } from 'react';
import { Action, Subheading } from '../../design/index.js';
import { Phone } from './phone.js';
import { STAND_IN_TEXT as T, phoneText } from './standIns.text.js';

const BUSY: readonly string[] = ['filming', 'sending'];

const OnePhone = ({
  which,
  onChange,
}: {
  readonly which: 'first' | 'second';
  readonly onChange: () => void;
}): React.JSX.Element => {
  const [phone] = useState(() => new Phone(which, onChange));
  const view = useSyncExternalStore(phone.subscribe, phone.snapshot);
  const isBusy = BUSY.includes(view.state);
  return (
    <Flex as="li" wrap="wrap" gap="3" alignItems="center" paddingBlock="2" data-phone={which} data-state={view.state}>
      <Box width="300px">{T[which]}</Box>
      {view.state === 'without connection' ? (
        <Action tone="next" onClick={() => phone.goOn()}>
          {T.goOn}
        </Action>
      ) : (
        <>
          <Action disabled={isBusy} onClick={() => void phone.filmAndSend(false)}>
            {T.film}
          </Action>
          <Action disabled={isBusy} onClick={() => void phone.filmAndSend(true)}>
            {T.filmLost}
          </Action>
        </>
      )}
      <Box role="status" color="inkSoft" fontSize="14px">
        {phoneText(view)}
      </Box>
    </Flex>
  );
};

/** What stands in for devices around the mat, in the demo's academies only. */
export const DemoCorner = ({ onChange }: { readonly onChange: () => void }): React.JSX.Element => (
  <Box
    as="section"
    aria-label={T.title}
    maxWidth="1120px"
    marginTop="10"
    borderTopWidth="1px"
    borderStyle="dashed"
    paddingTop="4"
  >
    <Subheading>{T.title}</Subheading>
    <Box color="inkSoft" fontSize="14px" marginBottom="1">
      {T.lead}
    </Box>
    <Box as="ul" listStyleType="none">
      <OnePhone which="first" onChange={onChange} />
      <OnePhone which="second" onChange={onChange} />
    </Box>
  </Box>
);
