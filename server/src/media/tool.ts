import { spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Fault, Task } from '@odograph/core';

/** What a program may take at most. Files from users are untrusted: whoever reads them is held on a short line. */
export type Limits = {
  /** Time by the clock, and time of the processor, in seconds. */
  readonly seconds: number;
  readonly memoryBytes?: number;
  /** Largest file that may be written. */
  readonly outputBytes?: number;
};

export type ToolEnd =
  | { readonly ok: true; readonly said: string }
  | { readonly ok: false; readonly why: 'failed' | 'too long' | 'stopped'; readonly said: string };

export type ToolUse = Limits & {
  readonly signal?: AbortSignal | undefined;
  /** Gets what the program writes, as it comes. */
  readonly onOutput?: (chunk: Buffer) => void;
};

const MEMORY = 4 * 2 ** 30;
const OUTPUT = 16 * 2 ** 30;
const OPEN_FILES = 64;
/** Of what a program says about its failure, so much is kept. */
const MOST_SAID = 4000;
const FULL = /No space left/;

/**
 * Runs ffmpeg or ffprobe: no shell, an own process group in an own empty folder, lowered priority, and limits on time, memory, output and open files.
 * Ends the whole group when it takes too long or is no longer wanted. A program that is missing throws.
 */
export const runTool = async (
  program: 'ffmpeg' | 'ffprobe',
  args: readonly string[],
  { seconds, memoryBytes = MEMORY, outputBytes = OUTPUT, signal, onOutput }: ToolUse,
): Promise<ToolEnd> => {
  if (signal?.aborted) return { ok: false, why: 'stopped', said: '' };
  const folder = await mkdtemp(join(tmpdir(), 'odograph-tool-'));
  try {
    return await new Promise<ToolEnd>((resolve, reject) => {
      const child = spawn(
        'setpriv',
        [
          // whoever started it may be killed: then it ends too
          ...['--pdeathsig', 'KILL', 'nice'],
          '-n',
          '10',
          'prlimit',
          `--as=${memoryBytes}`,
          // several threads spend time together
          `--cpu=${Math.ceil(seconds * 4)}`,
          `--fsize=${outputBytes}`,
          `--nofile=${OPEN_FILES}`,
          '--',
          program,
          ...args,
        ],
        {
          cwd: folder,
          detached: true,
          stdio: ['ignore', 'pipe', 'pipe'],
          env: { PATH: process.env['PATH'] ?? '', LC_ALL: 'C' },
        },
      );
      let said = '';
      let stopped: 'too long' | 'stopped' | undefined;
      const end = (why: 'too long' | 'stopped'): void => {
        stopped ??= why;
        try {
          process.kill(-child.pid!, 'SIGKILL');
        } catch {
          // it has ended on its own meanwhile
        }
      };
      const onAbort = (): void => end('stopped');
      const clock = setTimeout(() => end('too long'), seconds * 1000);
      signal?.addEventListener('abort', onAbort, { once: true });
      child.stdout.on('data', (chunk: Buffer) => onOutput?.(chunk));
      child.stderr.on('data', (chunk: Buffer) => {
        if (said.length < MOST_SAID) said += chunk.toString();
      });
      child.once('error', reject);
      child.once('close', (code) => {
        clearTimeout(clock);
        signal?.removeEventListener('abort', onAbort);
        if (stopped) resolve({ ok: false, why: stopped, said });
        // ffmpeg ends well where only the last of what it wrote found no room
        else resolve(code === 0 && !FULL.test(said) ? { ok: true, said } : { ok: false, why: 'failed', said });
      });
    });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
};

/** A job could not be done; `fault` says why. */
export class JobFault extends Error {
  constructor(readonly fault: Fault) {
    super(fault.code);
  }
}

/** What went wrong with a program, as a reason: what it says itself is for nobody to read. */
export const faultOf = (end: ToolEnd & { readonly ok: false }, task: Task): JobFault => {
  if (end.why === 'too long') return new JobFault({ code: 'took-too-long', facts: { task } });
  if (FULL.test(end.said)) return new JobFault({ code: 'disk-full' });
  return new JobFault({ code: 'tool-failed', facts: { task } });
};
