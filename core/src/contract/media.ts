import Joi from 'joi';
import type { Fault } from '../faults/index.js';
import type { Caption } from '../formats/index.js';
import type { TimeSpan } from '../signals/index.js';
import type { Quota } from './answers.js';
import { editId, id } from './fields.js';

export const JOB_KINDS = ['read', 'proxy', 'look', 'sound', 'cut', 'stills'] as const;
/** What is done with a file apart from requests: reading an upload; the proxy for stepping; strip, activity, cuts; loudness; cutting clips out; the pictures that lists show. */
export type JobKind = (typeof JOB_KINDS)[number];
export type JobState = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

export type Job = {
  readonly id: string;
  readonly kind: JobKind;
  /** The file, upload or cut it is about. */
  readonly subjectId: string;
  readonly state: JobState;
  /** 0–1. */
  readonly progress: number;
  /** Seconds it will still take by how it went so far; null while that cannot be known. */
  readonly leftS: number | null;
  readonly tries: number;
  readonly why: Fault | null;
};

export type UploadState = 'coming' | 'reading' | 'taken' | 'refused';
export type UploadSource = 'browser' | 'inbox';

/** A file on its way in. */
export type Upload = {
  readonly id: string;
  readonly name: string;
  readonly sizeBytes: number;
  /** Bytes that are here. */
  readonly offset: number;
  readonly source: UploadSource;
  readonly state: UploadState;
  readonly why: Fault | null;
  /** The file it became, or the one that was here already with the same content. */
  readonly fileId: string | null;
  readonly isMine: boolean;
  /** Of the file it became. */
  readonly frames: number | null;
  /** Whether the file it became was cut off. */
  readonly cutOff: boolean;
};

/** Everything under way for an academy. */
export type UnderWay = { readonly jobs: readonly Job[]; readonly uploads: readonly Upload[] };

/** What has been made of a file so far. */
export type Prepared = {
  readonly proxy: boolean;
  readonly look: boolean;
  readonly sound: boolean;
  /** What is for stepping was deleted to make room; it is made again when it is asked for. */
  readonly isThinned: boolean;
  /** While the file for stepping is made: so many of its frames can be stepped through already. */
  readonly readyFrames: number;
  /** Why the file for stepping could not be made; null where that has not failed. */
  readonly fault: Fault | null;
};

/** What a file takes on the disk, in bytes. */
export type FileUse = {
  readonly id: string;
  readonly name: string;
  /** Titles of the footage that it shows. */
  readonly footage: readonly string[];
  readonly isInBin: boolean;
  readonly originalBytes: number;
  /** What was made for stepping, and stills: it can be made again. */
  readonly steppingBytes: number;
  readonly restBytes: number;
  readonly isThinned: boolean;
  readonly mayThin: boolean;
};
export type DiskUse = {
  readonly files: readonly FileUse[];
  /** Clips that were cut out and wait to be saved. */
  readonly cutsBytes: number;
  readonly comingBytes: number;
  /** What new uploads may take. */
  readonly freeBytes: number;
  /** Originals and what is on its way, and files that are sent at once. */
  readonly bytes: Quota;
  readonly uploads: Quota;
  /** The folder, below that of the server's data, from which video is taken in. */
  readonly inbox: string;
};

/** What the pictures of a file alone say, and how its picture strip is laid out: the frames it shows, row after row. Seconds are those of the file. */
export type Look = {
  readonly fromS: number;
  readonly toS: number;
  readonly activity: readonly number[];
  readonly cuts: readonly number[];
  readonly black: readonly TimeSpan[];
  readonly frozen: readonly TimeSpan[];
  readonly tiles: {
    readonly columns: number;
    readonly frames: readonly number[];
    readonly width: number;
    readonly height: number;
  };
};

/** The text of a WebVTT or SubRip file, at most so many characters. */
export const CAPTIONS_LIMIT_CHARS = 400_000;
export type CaptionsFile = { readonly text: string };
export const captionsFile = Joi.object<CaptionsFile, true>({
  text: Joi.string().max(CAPTIONS_LIMIT_CHARS).required(),
});
/** The captions of a file; what could not be read of it was left out. */
export type Captions = { readonly captions: readonly Caption[]; readonly unread: number };

export type UploadDone = { readonly sha256: string };
/** The browser has sent everything; the hash of what it sent, by which the server checks that it arrived whole. */
export const uploadDone = Joi.object<UploadDone, true>({
  sha256: Joi.string().hex().length(64).lowercase().required(),
});

/** Which sound track of a file is heard, counted from 0. */
export type TrackChoice = { readonly editId: string; readonly track: number };
export const trackChoice = Joi.object<TrackChoice, true>({
  editId: editId(),
  track: Joi.number().integer().min(0).max(63).required(),
});

/** Clips that go into one video at most. */
export const CUT_LIMIT = 60;
/** Clips one after the other as one video, cut from the originals exactly to the frame. */
export type NewCut = { readonly id: string; readonly clipIds: readonly string[]; readonly format: 'mp4' | 'webm' };
export const newCut = Joi.object<NewCut>({
  id: id().required(),
  clipIds: Joi.array().items(id().required()).min(1).max(CUT_LIMIT).required(),
  format: Joi.string().valid('mp4', 'webm').required(),
});

export const UPLOAD_LIMIT_BYTES = 32 * 2 ** 30;
export const uploadId = id().required().label('id');
