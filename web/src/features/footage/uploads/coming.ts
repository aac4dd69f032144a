import { faultText } from '../../../design/index.js';
import type { Job, UnderWay, Upload } from '@odograph/core/contract';
import { sizeText } from '../../library/index.js';
import type { Sending } from './sending.js';

/** One line of what is coming in: what this page sends and what the server knows, put together. */
export type Coming = {
  readonly id: string;
  readonly name: string;
  /** 0–1; undefined where there is nothing to measure. */
  readonly part: number | undefined;
  readonly says: string;
  readonly state: 'sending' | 'paused' | 'broken off' | 'waiting' | 'reading' | 'taken' | 'here already' | 'refused';
  readonly fileId: string | null;
};

const SOURCES: Readonly<Record<Upload['source'], string>> = {
  browser: '',
  inbox: ' From the inbox folder.',
};

/** Seconds as people wait for them. */
export const waitText = (seconds: number): string => {
  if (seconds < 90) return `${Math.max(1, Math.round(seconds))} s left`;
  const minutes = Math.round(seconds / 60);
  return minutes < 90 ? `${minutes} min left` : `${(minutes / 60).toFixed(1)} h left`;
};

const fromHere = (s: Sending): Coming => {
  const { id, name, sizeBytes, sent, rate, state, why } = s;
  const far = `${sizeText(sent)} of ${sizeText(sizeBytes)}`;
  const of = { id, name, part: sent / sizeBytes, fileId: null };
  switch (state) {
    case 'waiting':
      return { ...of, state: 'sending', says: 'Waits for its turn.' };
    case 'paused':
      return { ...of, state: 'paused', says: `Paused at ${far}.` };
    case 'no connection':
      return {
        ...of,
        state: 'sending',
        says: why
          ? `${why} Stopped at ${far}; it’ll be tried again.`
          : `No connection at ${far}; it goes on by itself.`,
      };
    case 'checking':
      return { ...of, state: 'reading', says: 'Sent; checking that it arrived whole …' };
    case 'refused':
      return { ...of, state: 'refused', part: undefined, says: why };
    case 'sent':
    case 'sending':
      return {
        ...of,
        state: 'sending',
        says: rate ? `${far}, ${sizeText(rate)} a second, ${waitText((sizeBytes - sent) / rate)}` : far,
      };
  }
};

/** Whether each frame can be shown exactly: once the file for stepping is made, which counts them. */
const steppingText = (job: Job | undefined): string => {
  if (job?.state === 'failed') return `. They can’t be stepped through. ${job.why ? faultText(job.why) : ''}`;
  return job?.state === 'done' ? ', each can be shown exactly.' : '; they’re being made ready for stepping.';
};

const fromServer = (upload: Upload, jobs: readonly Job[]): Coming | undefined => {
  const { id, name, sizeBytes, offset, state, why, fileId, isMine, source, frames, cutOff } = upload;
  const of = { id, name, fileId };
  switch (state) {
    case 'coming':
      if (source === 'inbox')
        return {
          ...of,
          part: undefined,
          state: 'waiting',
          says: `${why ? faultText(why) : ''}${why?.code === 'no-room' ? ' It’s added as soon as there’s room.' : ''}${SOURCES[source]}`,
        };
      if (!isMine) return undefined;
      return {
        ...of,
        part: offset / sizeBytes,
        state: 'broken off',
        says: `Broke off at ${sizeText(offset)} of ${sizeText(sizeBytes)}. Choose the same file again to go on from there.`,
      };
    case 'reading': {
      const job = jobs.find((j) => j.kind === 'read' && j.subjectId === id);
      if (job?.state === 'failed')
        return {
          ...of,
          part: undefined,
          state: 'refused',
          says: `Reading it failed. ${job.why ? faultText(job.why) : ''}`,
        };
      return {
        ...of,
        part: job?.progress,
        state: 'reading',
        says: `Checking and reading every frame …${SOURCES[source]}`,
      };
    }
    case 'refused':
      return { ...of, part: undefined, state: 'refused', says: why ? faultText(why) : '' };
    case 'taken':
      return fileId === id
        ? {
            ...of,
            part: 1,
            state: 'taken',
            says: `Taken in: ${(frames ?? 0).toLocaleString()} frames${steppingText(jobs.find((j) => j.kind === 'proxy' && j.subjectId === id))}${cutOff ? ' The recording breaks off; what there is of it was kept.' : ''}${SOURCES[source]}`,
          }
        : {
            ...of,
            part: undefined,
            state: 'here already',
            says: 'This file is already here; it isn’t kept twice.',
          };
  }
};

/** Everything that is coming in, the oldest first. What this page sends itself it knows best, until all of it has gone. */
export const comingIn = (sending: readonly Sending[], { uploads, jobs }: UnderWay): readonly Coming[] => {
  const mine = new Map(sending.map((s) => [s.id, s]));
  const known = uploads.flatMap((upload) => {
    const here = mine.get(upload.id);
    mine.delete(upload.id);
    if (here && (upload.state === 'coming' || here.state === 'refused')) return [fromHere(here)];
    return fromServer(upload, jobs) ?? [];
  });
  const unknown = [...mine.values()].filter((s) => s.state !== 'sent').map(fromHere);
  return [...known, ...unknown].sort((a, b) => (a.id < b.id ? -1 : 1));
};
