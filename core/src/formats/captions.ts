/** What is said or shown as text from one instant to another, in seconds of the file. */
export type Caption = { readonly fromS: number; readonly toS: number; readonly text: string };

/** Longest text of one caption that is kept, in characters; most captions of one file. */
const TEXT_LIMIT = 500;
const CAPTIONS_LIMIT = 20_000;

const TIME = /(?:(\d{1,3}):)?(\d{1,2}):(\d{2})[.,](\d{1,3})/;
const ARROW = new RegExp(`^\\s*${TIME.source}\\s*-->\\s*${TIME.source}`);

const secondsOf = ([h, m, s, ms]: readonly (string | undefined)[]): number =>
  Number(h ?? 0) * 3600 + Number(m) * 60 + Number(s) + Number((ms ?? '0').padEnd(3, '0')) / 1000;

/** The words of a caption: no tags, no line ends; what stands for a sign is the sign. */
const plain = (lines: readonly string[]): string =>
  lines
    .join(' ')
    .replace(/<[^>]*>/g, '')
    .replace(/&nbsp;/g, ' ')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, TEXT_LIMIT);

/**
 * Reads captions of a WebVTT or SubRip file: blocks with a line of two instants, in the order of their beginning. Blocks that cannot be read (no instants, an end before
 * the beginning, no text) are counted, not guessed at. Settings, numbers, notes and styles are passed over.
 * @example readCaptions('WEBVTT\n\n00:01.000 --> 00:02.500\nHips low').captions // [{ fromS: 1, toS: 2.5, text: 'Hips low' }]
 */
export const readCaptions = (text: string): { readonly captions: readonly Caption[]; readonly unread: number } => {
  const blocks = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .split(/\n[ \t]*\n/);
  const captions: Caption[] = [];
  let unread = 0;
  for (const block of blocks) {
    const lines = block.split('\n').filter((line) => line.trim() !== '');
    const at = lines.findIndex((line) => line.includes('-->'));
    if (at < 0) continue;
    const found = ARROW.exec(lines[at]!);
    const words = plain(lines.slice(at + 1));
    const [fromS, toS] = found ? [secondsOf(found.slice(1, 5)), secondsOf(found.slice(5, 9))] : [0, 0];
    if (!found || toS <= fromS || words === '') unread++;
    else captions.push({ fromS, toS, text: words });
  }
  const ordered = captions.sort((a, b) => a.fromS - b.fromS || a.toS - b.toS);
  return { captions: ordered.slice(0, CAPTIONS_LIMIT), unread: unread + Math.max(0, ordered.length - CAPTIONS_LIMIT) };
};
