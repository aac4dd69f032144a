import { Box, Flex } from '@chakra-ui/react';
import { TELLINGS } from '@odograph/core';
import { useState } from 'react';
import { Choice, Ruled } from '../../../design/index.js';
import { useEdit } from '../../replica/index.js';
import { SIDES_TEXT as T } from './list.text.js';
import { type OnBench } from '../desk/index.js';
import { type SideTelling } from '../phrase/index.js';

/** What stands at one side of the picture; kept when the field is left. */
const Landmark = ({
  label,
  value,
  onKeep,
}: {
  readonly label: string;
  readonly value: string;
  readonly onKeep: (text: string) => void;
}): React.JSX.Element => {
  const [text, setText] = useState(value);
  const keep = (): void => {
    if (text.trim() !== value) onKeep(text.trim());
  };
  return (
    <Box as="label" display="flex" gap="2" alignItems="baseline">
      {label}
      <Ruled
        width="110px"
        maxLength={40}
        placeholder={T.landmarkHint}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
        }}
      />
    </Box>
  );
};

/** How left and right are told, and, where that is by what stands there, what stands at either side of the picture. */
export const SidesHere = ({
  bench,
  telling,
  mayWrite,
}: {
  readonly bench: OnBench;
  readonly telling: SideTelling;
  readonly mayWrite: boolean;
}): React.JSX.Element => {
  const edit = useEdit();
  const { id, leftMark, rightMark } = bench.angle;
  const keep = (changes: { readonly leftMark: string } | { readonly rightMark: string }): void =>
    edit({ kind: 'angle', id, changes });
  return (
    <Box fontSize="14px" marginTop="2" data-testid="sides-here">
      <Choice
        label={T.label}
        name="sides"
        value={telling.telling}
        options={TELLINGS.map((t) => [t, T.tellings[t]] as const)}
        onChange={telling.choose}
        isTight
      />
      {telling.telling === 'landmark' && mayWrite && (
        <Flex gap="4" marginTop="1" color="inkSoft">
          <Landmark
            key={`left ${leftMark}`}
            label={T.atLeft}
            value={leftMark}
            onKeep={(text) => keep({ leftMark: text })}
          />
          <Landmark
            key={`right ${rightMark}`}
            label={T.atRight}
            value={rightMark}
            onKeep={(text) => keep({ rightMark: text })}
          />
        </Flex>
      )}
      {(telling.telling === 'landmark' || telling.telling === 'viewer') && <Box color="inkSoft">{T.needsSeen}</Box>}
    </Box>
  );
};
