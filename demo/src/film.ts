import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Bout, Filming } from './bouts/index.js';
import { TICKS_PER_S, laidOut } from './frames.js';
import { cameraOf, frameBodies, type Shot } from './picture/camera.js';
import { drawOverlay } from './picture/overlay.js';
import { Picture } from './picture/raster.js';
import { lerp } from './bodies/vector.js';
import { soundOf, waveFile } from './sound.js';

export const WIDTH = 640;
export const HEIGHT = 360;

const clockText = (leftS: number): string =>
  `${Math.floor(leftS / 60)}:${String(Math.floor(leftS) % 60).padStart(2, '0')}`;

/** Azimuth at an instant of a walk. */
const azimuthAt = (walk: Filming['walk'], atS: number): number => {
  const next = walk.findIndex(([s]) => s > atS);
  const after = next < 0 ? walk.at(-1)! : walk[next]!;
  const before = next <= 0 ? after : walk[next - 1]!;
  return after === before
    ? after[1]
    : before[1] + ((after[1] - before[1]) * (atS - before[0])) / (after[0] - before[0]);
};

/** Draws the frames of a piece one after the other as one of its cameras sees them, as RGB bytes. The camera follows the bodies softly. */
export function* drawFrames(
  bout: Bout,
  only?: (frame: number) => boolean,
  by = 0,
): Generator<{ readonly frame: number; readonly rgb: Uint8ClampedArray }> {
  const camera = bout.cameras[by]!;
  const { staged, cameras } = laidOut(bout);
  const times = cameras[by]!;
  const picture = new Picture(WIDTH * 2, HEIGHT * 2);
  const kits = [bout.athletes[0].kit, bout.athletes[1].kit] as const;
  let shot: Shot | undefined;
  const cuts = staged.times.filter((_, i) => bout.beats[i]!.cut).map((t) => t.leaveS);
  for (const [frame, atS] of times.sceneS.entries()) {
    const pair = staged.bodiesAt(atS);
    const wanted = frameBodies(pair, azimuthAt(camera.walk, atS), camera.elDeg, WIDTH / HEIGHT, 1.26);
    const distanceM = Math.max(2.7, wanted.distanceM);
    if (cuts.some((cutS) => atS >= cutS && times.sceneS[frame - 1]! < cutS)) shot = undefined;
    shot = shot
      ? {
          ...wanted,
          target: lerp(shot.target, wanted.target, 0.1),
          distanceM: shot.distanceM + (distanceM - shot.distanceM) * 0.1,
        }
      : { ...wanted, distanceM };
    if (only && !only(frame)) continue;
    const lapels = staged.lapelsAt(atS).map((lapel) => ({ owner: lapel.owner, path: lapel.on(pair) }));
    picture.draw(pair, cameraOf(shot), kits, lapels);
    const rgb = picture.halved();
    const clock = camera.showsClock ? clockText(bout.clockStartS - atS) : undefined;
    drawOverlay({ rgb, width: WIDTH, height: HEIGHT }, frame, clock);
    yield { frame, rgb };
  }
}

/** Arguments of ffmpeg that write frames from standard input with exactly the piece's presentation times. */
const encoderArguments = (camera: Filming, wav: string | undefined, out: string): readonly string[] => {
  const drop = camera.variable
    ? `select='eq(n\\,0)+gt(mod(n*n*13+n*7\\,29)\\,6)',setpts='PTS+if(eq(PTS\\,0)\\,0\\,mod(round(PTS/${camera.frameTicks})*37\\,11)*90)',`
    : '';
  const sound = wav ? ['-map', '0:v', '-map', '1:a', '-c:a', 'aac', '-b:a', '48k', '-flags:a', '+bitexact'] : [];
  return [
    '-nostdin',
    '-hide_banner',
    '-loglevel',
    'error',
    '-y',
    '-f',
    'rawvideo',
    '-pix_fmt',
    'rgb24',
    '-s',
    `${WIDTH}x${HEIGHT}`,
    '-r',
    `${TICKS_PER_S}/${camera.frameTicks}`,
    '-i',
    'pipe:0',
    ...(wav ? ['-i', wav] : []),
    '-vf',
    `settb=1/${TICKS_PER_S},setpts=N*${camera.frameTicks},${drop}format=yuv420p`,
    '-fps_mode',
    'vfr',
    '-enc_time_base',
    `1/${TICKS_PER_S}`,
    '-c:v',
    'libx264',
    '-preset',
    'slow',
    '-crf',
    '26',
    '-g',
    '15',
    '-keyint_min',
    '15',
    '-sc_threshold',
    '0',
    '-bf',
    '0',
    '-video_track_timescale',
    String(TICKS_PER_S),
    '-movflags',
    '+faststart',
    '-map_metadata',
    '-1',
    '-fflags',
    '+bitexact',
    '-flags:v',
    '+bitexact',
    '-threads',
    '1',
    ...sound,
    out,
  ];
};

/** Films a piece with one of its cameras into an MP4 file. Left-out pictures of a variable-rate piece are sent as repeats, which the encoder's filter drops. */
export const film = async (
  bout: Bout,
  by: number,
  out: string,
  onFrame: (done: number, of: number) => void,
): Promise<void> => {
  const camera = bout.cameras[by]!;
  const { numbers } = laidOut(bout).cameras[by]!;
  const folder = mkdtempSync(join(tmpdir(), 'odograph-film-'));
  try {
    const wav = camera.sound ? join(folder, 'sound.wav') : undefined;
    if (wav) writeFileSync(wav, waveFile(soundOf(bout, by)));
    const ffmpeg = spawn('ffmpeg', encoderArguments(camera, wav, out), { stdio: ['pipe', 'inherit', 'inherit'] });
    const closed = once(ffmpeg, 'close');
    let sent = 0;
    const send = async (rgb: Uint8ClampedArray): Promise<void> => {
      sent++;
      if (!ffmpeg.stdin.write(Buffer.from(rgb))) await once(ffmpeg.stdin, 'drain');
    };
    let last: Uint8ClampedArray | undefined;
    for (const { frame, rgb } of drawFrames(bout, undefined, by)) {
      while (last && sent < numbers[frame]!) await send(last);
      await send(rgb);
      last = rgb;
      onFrame(frame + 1, numbers.length);
    }
    ffmpeg.stdin.end();
    const [code] = (await closed) as [number];
    if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
  } finally {
    rmSync(folder, { recursive: true });
  }
};
