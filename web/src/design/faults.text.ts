import type { Fault, Task } from '@odograph/core';

/** What can be taken in, for sentences. */
const KINDS_TAKEN = 'MP4, MOV, WebM, MKV, AVI and MPEG-TS work.';

const TASKS: Readonly<Record<Task, string>> = {
  proxy: 'Making the file for stepping',
  look: 'Reading the movement',
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
      return `This is a list that points to other files, with no pictures of its own. Add those files instead. ${KINDS_TAKEN}`;
    case 'unknown-kind':
      return `This is not a video that Odograph knows. ${KINDS_TAKEN}`;
    case 'index-missing':
      return 'The file is damaged, or it was cut off before its index at the end; without that, none of it can be read. Copy it from the camera again.';
    case 'damaged':
      return 'The file is damaged and can’t be read as video.';
    case 'locked':
      return 'The file is protected: its publisher encrypted it. Only video without such a lock works here.';
    case 'no-picture':
      return `The file has no picture, only ${fault.facts.has}. Add one with a video track.`;
    case 'unread-codec':
      return `Its pictures are coded in a way that can’t be read here (${fault.facts.codec}).`;
    case 'undecodable':
      return `None of its first pictures can be decoded (${fault.facts.codec}): the file is damaged or protected.`;
    case 'picture-too-large':
      return `Its pictures are too large: ${fault.facts.width} × ${fault.facts.height}. The most is ${Math.round(fault.facts.mostPixels / 1e6)} million pixels, as in 8K.`;
    case 'too-long':
      return `The file runs for more than ${fault.facts.mostHours} hours; add it in parts.`;
    case 'too-many-frames':
      return `The file holds more than ${fault.facts.most.toLocaleString('en')} pictures; add it in parts.`;
    case 'took-too-long':
      return `${TASKS[fault.facts.task]} took too long.`;
    case 'tool-failed':
      return `${TASKS[fault.facts.task]} failed: the file can’t be read to the end.`;
    case 'disk-full':
      return 'The disk is full.';
    case 'no-room':
      return `It needs ${megabytes(fault.facts.neededBytes)}, and ${megabytes(fault.facts.freeBytes)} is free.`;
    case 'quota':
      return `The academy can keep ${megabytes(fault.facts.mostBytes)} of footage and has ${megabytes(fault.facts.usedBytes)}.`;
    case 'given-up':
      return `Given up after ${fault.facts.times} tries that never finished.`;
    case 'gone':
      return 'The file is no longer there; send it again.';
    case 'not-whole':
      return `Of ${fault.facts.ofBytes.toLocaleString('en')} bytes only ${fault.facts.bytes.toLocaleString('en')} arrived; send it again.`;
    case 'hash-differs':
      return 'What arrived isn’t what was sent (its hash differs); send it again.';
    case 'nobody':
      return 'Nobody in the academy could add it.';
    case 'times-in-use':
      return 'The times in the file are wrong, but clips already depend on them, so they were left alone.';
    case 'nothing-to-cut':
      return 'None of these clips exist any more.';
    case 'cut-inexact':
      return `The cut wouldn’t hold exactly its frames (${fault.facts.frames} of ${fault.facts.ofFrames} are right), so it wasn’t made.`;
    case 'sound-inexact':
      return `The sound of the cut would be ${fault.facts.seconds.toFixed(2)} s long instead of ${fault.facts.ofSeconds.toFixed(2)} s, so it wasn’t made.`;
    case 'unexpected':
      return 'Something went wrong in Odograph. Try again.';
  }
};
