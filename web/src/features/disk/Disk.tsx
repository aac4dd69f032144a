import { Box, Flex } from '@chakra-ui/react';
import type { FileUse } from '@odograph/core/contract';
import { Action, Heading, Mono } from '../../design/index.js';
import { failureText, sizeText } from '../library/index.js';
import { useDiskQuery, useThinMutation } from './disk.api.js';
import { DISK_TEXT as T } from './disk.text.js';

const sum = (files: readonly FileUse[], of: (file: FileUse) => number): number =>
  files.reduce((total, file) => total + of(file), 0);

const COLUMNS = { base: '1fr 1fr 1fr auto', md: 'minmax(0, 1fr) 84px 160px 84px 92px' };

/** How the parts of one footage, or of all, stand to each other: originals solid, what can be made again hatched by a lighter tone. */
const Bar = ({ file, most }: { readonly file: FileUse; readonly most: number }): React.JSX.Element => (
  <Flex
    height="6px"
    marginTop="1"
    width={`${(100 * (file.originalBytes + file.steppingBytes + file.restBytes)) / most}%`}
  >
    <Box background="us" flexGrow={file.originalBytes} />
    <Box background="field" flexGrow={file.steppingBytes} />
    <Box background="hairline" flexGrow={file.restBytes} />
  </Flex>
);

/** What footage takes on the disk, and how to get room back. */
export const Disk = (): React.JSX.Element => {
  const { data, error, refetch } = useDiskQuery(undefined, { refetchOnMountOrArgChange: true });
  const [thin, { error: refusal }] = useThinMutation();
  const files = data ? [...data.files].sort((a, b) => whole(b) - whole(a) || (a.id < b.id ? -1 : 1)) : [];
  const most = Math.max(1, ...files.map(whole));
  const thinnable = files.filter((f) => f.mayThin);
  const thinThese = async (those: readonly FileUse[]): Promise<void> => {
    for (const { id } of those) await thin(id);
    await refetch();
  };
  return (
    <Box maxWidth="960px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="5" maxWidth="720px">
        {T.lead}
      </Box>
      {(error ?? refusal) && (
        <Box role="alert" color="caution" marginBottom="3">
          {failureText(error ?? refusal)}
        </Box>
      )}
      {data && (
        <>
          <Flex gap="8" marginBottom="6" alignItems="flex-end" wrap="wrap">
            {(
              [
                [data.freeBytes, T.free, ''],
                [sum(files, (f) => f.originalBytes), T.originals, 'us'],
                [sum(files, (f) => f.steppingBytes), T.stepping, 'field'],
                [sum(files, (f) => f.restBytes), T.rest, 'hairline'],
                ...(data.cutsBytes ? [[data.cutsBytes, T.cuts, ''] as const] : []),
                ...(data.comingBytes ? [[data.comingBytes, T.coming, ''] as const] : []),
              ] as const
            ).map(([bytes, name, colour]) => (
              <Box key={name}>
                <Mono fontSize="21px">{sizeText(bytes)}</Mono>
                <Flex color="inkSoft" fontSize="14px" alignItems="center" gap="1.5">
                  {colour && <Box width="10px" height="10px" background={colour} />}
                  {name}
                </Flex>
              </Box>
            ))}
            <Box flex="1" />
            {thinnable.length > 1 && (
              <Action onClick={() => void thinThese(thinnable)}>
                {T.thinAll(sizeText(sum(thinnable, (f) => f.steppingBytes)))}
              </Action>
            )}
          </Flex>
          <Box color="inkSoft" fontSize="14px" marginBottom="1">
            {T.mayKeep(sizeText(data.bytes.used), sizeText(data.bytes.most), data.uploads.most)}
          </Box>
          <Box color="inkSoft" fontSize="14px" marginBottom="4">
            {T.inbox} <Mono fontSize="13px">{data.inbox}</Mono>
          </Box>
          {files.length === 0 && <Box>{T.empty}</Box>}
          <Box as="ul" listStyleType="none" borderTopWidth="1px">
            {files.map((file) => (
              <Box
                as="li"
                key={file.id}
                data-file={file.name}
                display="grid"
                gridTemplateColumns={COLUMNS}
                columnGap="4"
                rowGap="1"
                paddingBlock="2.5"
                borderBottomWidth="1px"
                alignItems="center"
              >
                <Box minWidth="0" gridColumn={{ base: '1 / -1', md: 'auto' }}>
                  <Box overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
                    {file.isInBin ? T.inBin : file.footage.join(', ') || T.none}
                  </Box>
                  <Mono display="block" fontSize="13px" color="inkSoft">
                    {file.name}
                  </Mono>
                  <Bar file={file} most={most} />
                </Box>
                <Mono fontSize="14px" textAlign="right">
                  {sizeText(file.originalBytes)}
                </Mono>
                <Mono fontSize="14px" textAlign="right" color="inkSoft">
                  {file.isThinned ? (
                    <Box as="span" fontFamily="body">
                      {T.thinned}
                    </Box>
                  ) : file.mayThin ? (
                    `+ ${sizeText(file.steppingBytes)}`
                  ) : (
                    <Box as="span" fontFamily="body">
                      {T.making}
                    </Box>
                  )}
                </Mono>
                <Mono fontSize="14px" textAlign="right" color="inkSoft">
                  + {sizeText(file.restBytes)}
                </Mono>
                <Box textAlign="right">
                  {file.mayThin && (
                    <Action fontSize="15px" paddingBlock="1" onClick={() => void thinThese([file])}>
                      {T.thin}
                    </Action>
                  )}
                </Box>
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
};

const whole = (file: FileUse): number => file.originalBytes + file.steppingBytes + file.restBytes;
