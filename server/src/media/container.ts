import { open } from 'node:fs/promises';
import type { FileFault } from '@odograph/core';

/** How a container is read, and as what it goes to a browser. */
export type Container = {
  readonly demuxer: 'mov' | 'matroska' | 'avi' | 'mpegts';
  readonly mime: string;
  readonly name: string;
};

export type ContainerRead =
  { readonly ok: true; readonly container: Container } | { readonly ok: false; readonly fault: FileFault };

const MOV: Container = { demuxer: 'mov', mime: 'video/mp4', name: 'MP4 or MOV' };
const MATROSKA: Container = { demuxer: 'matroska', mime: 'video/webm', name: 'WebM or MKV' };
const AVI: Container = { demuxer: 'avi', mime: 'video/x-msvideo', name: 'AVI' };
const TS: Container = { demuxer: 'mpegts', mime: 'video/mp2t', name: 'MPEG-TS' };

const HEAD = 1024;
const MOV_BOXES = ['ftyp', 'moov', 'mdat', 'wide', 'free', 'skip', 'pnot'];
/** Texts that only point at other files or addresses. */
const PLAYLISTS = [
  /^#EXTM3U/,
  /^ffconcat version/,
  /^\[playlist\]/i,
  /^<\?xml[^>]*>\s*<(MPD|playlist|smil|asx)/i,
  /^<(MPD|smil|asx)/i,
  /^RTSPtext/,
  /^v=0\r?\n/,
];

/** The container by its first bytes, whatever the file is called. */
export const containerOf = async (path: string): Promise<ContainerRead> => {
  const file = await open(path, 'r');
  const { buffer, bytesRead } = await file.read(Buffer.alloc(HEAD), 0, HEAD, 0).finally(() => file.close());
  const bytes = buffer.subarray(0, bytesRead);
  const text = bytes.toString('latin1');
  if (bytesRead === 0) return { ok: false, fault: { code: 'empty' } };
  const start = text.replace(/^\u00ef\u00bb\u00bf/, '').trimStart();
  if (PLAYLISTS.some((p) => p.test(start))) return { ok: false, fault: { code: 'playlist' } };
  if (MOV_BOXES.includes(text.slice(4, 8))) return { ok: true, container: MOV };
  if (bytesRead >= 4 && bytes.readUInt32BE(0) === 0x1a45dfa3) return { ok: true, container: MATROSKA };
  if (text.startsWith('RIFF') && text.slice(8, 12) === 'AVI ') return { ok: true, container: AVI };
  // packets of 188 bytes, or of 192 with a time in front
  const isSync = (at: number): boolean => bytes[at] === 0x47;
  if ((isSync(0) && isSync(188) && isSync(376)) || (isSync(4) && isSync(196) && isSync(388)))
    return { ok: true, container: TS };
  return { ok: false, fault: { code: 'unknown-kind' } };
};

/** The most pixels that a picture may have: those of 8K. */
export const MOST_PIXELS = 33_177_600;

/** Before every input: only local files, only the container that its first bytes say, never more pixels than 8K. */
export const inputGuard = (demuxer: Container['demuxer']): readonly string[] => [
  '-protocol_whitelist',
  'file,pipe',
  '-format_whitelist',
  'mov,matroska,webm,avi,mpegts',
  '-max_pixels',
  String(MOST_PIXELS),
  '-f',
  demuxer,
];

/** The demuxer of a file that was taken in, by the type that is kept of it. */
export const demuxerOf = (mime: string): Container['demuxer'] =>
  [MOV, MATROSKA, AVI, TS].find((c) => c.mime === mime)?.demuxer ?? 'mov';
