import { Box, Flex } from '@chakra-ui/react';
import type { Job } from '@odograph/core/contract';
import { Action, faultText } from '../../../design/index.js';
import { useCancelJobMutation, useJobAgainMutation } from '../../server/index.js';
import { FOOTAGE_TEXT as T } from '../footage.text.js';
import { waitText } from './coming.js';
import { JOB_LINE_TEXT } from './uploads.text.js';

const JOB_TEXT: Readonly<Record<Job['kind'], string>> = {
  read: 'Reading',
  proxy: 'Making it ready for stepping',
  look: 'Reading what moves',
  sound: 'Listening to it',
  cut: 'Cutting',
  stills: 'Making its pictures for lists',
};

/** A job of a footage: what is being done, how far, and what can be done about it. */
export const JobLine = ({
  job,
  onChanged,
}: {
  readonly job: Job;
  readonly onChanged: () => void;
}): React.JSX.Element => {
  const [cancel] = useCancelJobMutation();
  const [again] = useJobAgainMutation();
  const isOver = job.state === 'failed' || job.state === 'cancelled';
  const left = job.leftS === null ? '' : `, ${waitText(job.leftS)}`;
  return (
    <Flex
      gap="3"
      alignItems="center"
      fontSize="14px"
      color={job.state === 'failed' ? 'caution' : 'inkSoft'}
      data-job={job.kind}
    >
      <Box role={job.state === 'failed' ? 'alert' : 'status'}>
        {JOB_TEXT[job.kind]}
        {job.state === 'running' && `: ${Math.round(job.progress * 100)} %${left}`}
        {job.state === 'waiting' && JOB_LINE_TEXT.waitsForItsTurn}
        {job.state === 'failed' && JOB_LINE_TEXT.didntWork(job.why ? faultText(job.why) : '')}
        {job.state === 'cancelled' && JOB_LINE_TEXT.ended}
      </Box>
      <Action
        tone="quiet"
        fontSize="14px"
        onClick={() => void (isOver ? again(job.id) : cancel(job.id)).then(onChanged)}
      >
        {isOver ? T.jobAgain : T.jobEnd}
      </Action>
    </Flex>
  );
};
