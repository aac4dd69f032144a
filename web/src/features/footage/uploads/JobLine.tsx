import { Box, Flex } from '@chakra-ui/react';
import type { Job } from '@odograph/core/contract';
import { Action, faultText } from '../../../design/index.js';
import { useCancelJobMutation, useJobAgainMutation } from '../../server/index.js';
import { FOOTAGE_TEXT as T } from '../footage.text.js';
import { waitText } from './coming.js';
import { JOB_LINE_TEXT as L, JOB_TEXT } from './uploads.text.js';

const saysOf = (job: Job): string => {
  const name = JOB_TEXT[job.kind];
  switch (job.state) {
    case 'running':
      return L.running(name, Math.round(job.progress * 100), job.leftS === null ? '' : `, ${waitText(job.leftS)}`);
    case 'waiting':
      return L.waiting(name);
    case 'failed':
      return L.failed(name, job.why ? faultText(job.why) : '');
    case 'cancelled':
      return L.ended(name);
    default:
      return name;
  }
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
  return (
    <Flex
      gap="3"
      alignItems="center"
      fontSize="14px"
      color={job.state === 'failed' ? 'caution' : 'inkSoft'}
      data-job={job.kind}
    >
      <Box role={job.state === 'failed' ? 'alert' : 'status'}>{saysOf(job)}</Box>
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
