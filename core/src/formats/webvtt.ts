import { cautionsOf } from '../vocabulary/index.js';
import { placeName, readPlace } from '../attempts/index.js';
import { loggedOf, wordsOf, type Library } from '../library/index.js';
import { buildLines } from '../map/index.js';
import { clipOfStep, lineOfStep } from '../routes/index.js';
import { isLineStep, stepsOf, type KeptRoute } from '../teaching/index.js';

/** How long a step is shown for which there is no clip, in seconds. */
const WITHOUT_CLIP_S = 5;

const stamp = (seconds: number): string => {
  const ms = Math.round(seconds * 1000);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${two(Math.floor(ms / 3_600_000))}:${two(Math.floor(ms / 60_000) % 60)}:${two(Math.floor(ms / 1000) % 60)}.${String(ms % 1000).padStart(3, '0')}`;
};

/** Text of a cue: no arrow, no mark-up, no empty line, all of which mean something in the format. */
const plain = (text: string): string =>
  text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/\s*\n\s*/g, '\n')
    .trim();

/**
 * The main line of a kept route as WebVTT (W3C WebVTT 1): its clips play one after the other from zero, and each step is one cue, with what it is, what is said to
 * it, and its caution.
 */
export const routeVtt = (route: KeptRoute, library: Library): string => {
  const words = wordsOf(library);
  const lines = new Map(buildLines(loggedOf(library), words).lines.map((l) => [l.id, l]));
  let at = 0;
  const cues = stepsOf(route, null).map((step, i) => {
    const attempts = (isLineStep(step) && lines.get(lineOfStep(step))?.attemptIds) || [];
    const clip = clipOfStep(step.clipId, attempts, library.clips);
    const file = library.files.find((f) => f.id === library.angles.find((a) => a.id === clip?.angleId)?.fileId);
    const lengthS =
      clip && file ? ((clip.out.pts - clip.in.pts) * file.timeBaseNum) / file.timeBaseDen : WITHOUT_CLIP_S;
    const from = at;
    at += lengthS;
    const end = step.to === null ? undefined : readPlace(step.to);
    const cautions = cautionsOf(words, {
      action: step.action,
      submission: end?.kind === 'submission' && end.won ? end.submission : null,
    });
    const text = [
      `${i + 1}. ${isLineStep(step) ? `${words.name('action', step.action)}: ${placeName(step.from, words)} to ${placeName(step.to, words)}` : step.title}`,
      step.cue,
      ...step.cues.map((cue) => cue.text),
      step.note,
      ...cautions.map((c) => `Caution, ${c.about}: ${c.care}`),
    ];
    return `${i + 1}\n${stamp(from)} --> ${stamp(at)}\n${text.map(plain).filter(Boolean).join('\n')}\n`;
  });
  return `WEBVTT - ${plain(route.name).replace(/\n/g, ' ')}\n\n${cues.join('\n')}`;
};
