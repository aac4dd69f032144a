import type { Fault, Task } from './types.js';

/** What can be taken in, for sentences. */
const KINDS_TAKEN = 'MP4, MOV, WebM, MKV, AVI and MPEG-TS can be taken in.';

const TASKS: Readonly<Record<Task, string>> = {
  proxy: 'Making the file for stepping',
  look: 'Reading what moves',
  strip: 'Making the picture strip',
  sound: 'Reading the sound',
  cut: 'Cutting a clip',
  join: 'Putting the clips together',
  read: 'Reading the file',
  film: 'Filming',
};

const megabytes = (bytes: number): string =>
  bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.max(1, Math.round(bytes / 1e6))} MB`;

/** Why something came to nothing, and what can be done, in sentences. */
export const faultText = (fault: Fault): string => {
  switch (fault.code) {
    case 'empty':
      return 'The file is empty.';
    case 'playlist':
      return `This is a list that points at other files, and holds no pictures itself. Those files can be taken in. ${KINDS_TAKEN}`;
    case 'unknown-kind':
      return `This is not a video that Odograph knows. ${KINDS_TAKEN}`;
    case 'index-missing':
      return 'The file is damaged, or was cut off before its index, which stands at its end; without it nothing of it can be read. Copy it from the camera once more.';
    case 'damaged':
      return 'The file is damaged and cannot be read as video.';
    case 'locked':
      return 'The file is protected: it is encrypted by its publisher. Only video without such a lock can be taken in.';
    case 'no-picture':
      return `The file holds no picture, only ${fault.facts.has}. A file with a video track can be taken in.`;
    case 'unread-codec':
      return `Its pictures are coded in a way that is not read here (${fault.facts.codec}).`;
    case 'undecodable':
      return `None of its first pictures can be decoded (${fault.facts.codec}): the file is damaged, or protected.`;
    case 'picture-too-large':
      return `Its pictures are too large: ${fault.facts.width} × ${fault.facts.height}. At most ${Math.round(fault.facts.mostPixels / 1e6)} million pixels, as in 8K, can be taken in.`;
    case 'too-long':
      return `The file runs for more than ${fault.facts.mostHours} hours; take it in in parts.`;
    case 'too-many-frames':
      return `The file holds more than ${fault.facts.most.toLocaleString('en')} pictures; take it in in parts.`;
    case 'took-too-long':
      return `${TASKS[fault.facts.task]} took longer than it may.`;
    case 'tool-failed':
      return `${TASKS[fault.facts.task]} failed: the file cannot be read to its end.`;
    case 'disk-full':
      return 'The disk is full.';
    case 'no-room':
      return `It needs ${megabytes(fault.facts.neededBytes)}, and ${megabytes(fault.facts.freeBytes)} are free.`;
    case 'quota':
      return `The academy may keep ${megabytes(fault.facts.mostBytes)} of footage, and has ${megabytes(fault.facts.usedBytes)}.`;
    case 'given-up':
      return `Given up: it was begun ${fault.facts.times} times and never came to an end.`;
    case 'gone':
      return 'The file is no longer there; send it once more.';
    case 'not-whole':
      return `Of ${fault.facts.ofBytes.toLocaleString('en')} bytes only ${fault.facts.bytes.toLocaleString('en')} arrived; send it once more.`;
    case 'hash-differs':
      return 'What arrived is not what was sent (its hash differs); send it once more.';
    case 'nobody':
      return 'The academy has nobody who could take it in.';
    case 'times-in-use':
      return 'The times in the file are wrong, and clips stand on them already; they were left as they are.';
    case 'nothing-to-cut':
      return 'None of these clips are there any more.';
    case 'cut-inexact':
      return `The cut would not hold just its frames (${fault.facts.frames} of ${fault.facts.ofFrames} are right), so it was not made.`;
    case 'sound-inexact':
      return `The sound of the cut would be ${fault.facts.seconds.toFixed(2)} s long and not ${fault.facts.ofSeconds.toFixed(2)} s, so it was not made.`;
    case 'unexpected':
      return 'It failed for a reason that lies with Odograph. Try it once more.';
  }
};
