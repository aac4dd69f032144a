import { Box, Flex } from '@chakra-ui/react';
import { frameCount, timecode, type TimeTable } from '@odograph/core';
import { Bare, Mono } from '../../../design/index.js';
import { INSTANT_TEXT as T } from './clip.text.js';
import { Caps } from '../keys/index.js';
import { type Chain } from './useChain.js';
import { type Instants } from './useInstants.js';
import { type Loops } from './useLoops.js';

/** Under the phrase, on one line: the named instants of the clip with the digits that set them, and its loops. */
export const ClipDetail = ({
  instants,
  loops,
  chain,
  table,
}: {
  readonly instants: Instants;
  readonly loops: Loops;
  readonly chain: Chain;
  readonly table: TimeTable;
}): React.JSX.Element => (
  <Flex
    as="section"
    aria-label={T.label}
    wrap="wrap"
    columnGap="4"
    alignItems="baseline"
    fontFamily="heading"
    fontSize="15px"
    color="inkSoft"
    data-testid="instants"
  >
    {instants.rows.map((row) => (
      <Bare
        key={row.name}
        type="button"
        tabIndex={-1}
        disabled={row.frame === null}
        aria-label={row.frame === null ? `${row.name}, ${T.notSaid}` : `${T.goTo} ${row.name}`}
        data-instant={row.name}
        onClick={() => instants.goTo(row)}
      >
        <Mono fontSize="12px">
          <Caps text={`{${row.key}}`} />
        </Mono>{' '}
        {row.name}
        {row.frame !== null && (
          <Mono
            fontSize="13px"
            color={row.isAssumed ? 'inkSoft' : 'ink'}
            marginLeft="1"
            {...(row.isAssumed ? { borderBottomWidth: '1px', borderStyle: 'dashed', title: T.assumed } : {})}
          >
            {timecode(table, Math.min(row.frame, frameCount(table) - 1))}
            {row.isAssumed && '?'}
          </Mono>
        )}
      </Bare>
    ))}
    {instants.own.map(({ name, at }) => (
      <Box key={name} as="span" data-testid="own-instant">
        <Bare type="button" tabIndex={-1} aria-label={`${T.goTo} ${name}`} onClick={() => instants.goTo(at)}>
          {name}{' '}
          <Mono fontSize="13px" color="ink">
            {timecode(table, Math.min(at.frame, frameCount(table) - 1))}
          </Mono>
        </Bare>{' '}
        <Bare type="button" tabIndex={-1} aria-label={T.removeOwn(name)} onClick={() => instants.remove(name)}>
          ×
        </Bare>
      </Box>
    ))}
    {instants.drawn.map((frame) => (
      <Bare
        key={frame}
        type="button"
        tabIndex={-1}
        data-testid="drawn-instant"
        onClick={() => instants.goTo({ frame })}
      >
        {T.drawing}{' '}
        <Mono fontSize="13px" color="ink">
          {timecode(table, Math.min(frame, frameCount(table) - 1))}
        </Mono>
      </Bare>
    ))}
    {instants.times && (
      <Box as="span" fontFamily="body" fontSize="14px" data-testid="times">
        {instants.times}
      </Box>
    )}
    {loops.from !== null && (
      <Box color="inHand">
        <Caps text={T.loopFrom(timecode(table, loops.from))} />
      </Box>
    )}
    {loops.all.map((loop, i) => (
      <Box key={loop.id} as="span" color={loop === loops.inHand ? 'inHand' : undefined} data-testid="detail-loop">
        <Bare type="button" tabIndex={-1} aria-pressed={loop === loops.inHand} onClick={() => loops.take(loop)}>
          {T.loop(i + 1, loop.speed)}
        </Bare>{' '}
        <Bare type="button" tabIndex={-1} aria-label={T.removeLoop(i + 1)} onClick={() => loops.remove(loop)}>
          ×
        </Bare>
      </Box>
    ))}
    <Box as="span" fontFamily="body" fontSize="14px" data-testid="chain">
      {chain.says} {chain.answers !== null && `${chain.answers}. `}
      {chain.does !== null && (
        <Bare type="button" tabIndex={-1} color="ink" onClick={chain.turn}>
          <Mono fontSize="12px">
            <Caps text="{9}" />
          </Mono>{' '}
          {chain.does}
        </Bare>
      )}{' '}
      {chain.run && (
        <Bare type="button" tabIndex={-1} color="ink" onClick={chain.run.play} data-testid="run">
          <Mono fontSize="12px">
            <Caps text="{$}" />
          </Mono>{' '}
          {T.run(chain.run.count, chain.run.name)}
        </Bare>
      )}
    </Box>
    {instants.problem !== null && (
      <Box role="alert" color="caution" fontFamily="body" fontSize="14px">
        {instants.problem}
      </Box>
    )}
  </Flex>
);
