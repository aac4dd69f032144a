import type { Job } from '@odograph/core/contract';

export const JOB_TEXT: Readonly<Record<Job['kind'], string>> = {
  read: 'Reading',
  proxy: 'Making it ready for stepping',
  look: 'Reading what moves',
  sound: 'Listening to it',
  cut: 'Cutting',
  stills: 'Making its pictures for lists',
};

export const JOB_LINE_TEXT = {
  running: (job: string, percent: number, left: string) => `${job}: ${percent} %${left}`,
  waiting: (job: string) => `${job}: waits for its turn`,
  failed: (job: string, why: string) => `${job} didn’t work. ${why}`,
  ended: (job: string) => `${job}: ended`,
} as const;
