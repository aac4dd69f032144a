import { setImmediate as tick } from 'node:timers/promises';
import { describe, expect, test } from '@jest/globals';
import { FairQueue } from './fairQueue.js';

describe('work for several parties', () => {
  const never = new AbortController().signal;

  test('when one has a long line, another should have its turn in between, and each line keep its order', async () => {
    const queue = new FairQueue(1, 100);
    const done: string[] = [];
    const ask = (party: string, n: number): Promise<unknown> =>
      queue.take(party, never, async () => {
        await tick();
        done.push(`${party}${n}`);
      });
    const all = Array.from({ length: 6 }, (_, n) => ask('a', n));
    all.push(...Array.from({ length: 2 }, (_, n) => ask('b', n)));
    await Promise.all(all);
    expect(done.filter((d) => d.startsWith('a'))).toEqual(['a0', 'a1', 'a2', 'a3', 'a4', 'a5']);
    expect(done.indexOf('b1')).toBeLessThan(5);
  });

  test('when nobody waits any more, it should not be done, and those behind come at once', async () => {
    const queue = new FairQueue(1, 100);
    let end: () => void = () => undefined;
    const first = queue.take('a', never, () => new Promise<void>((resolve) => (end = resolve)));
    const gone = new AbortController();
    let wasDone = false;
    const dropped = queue.take('a', gone.signal, () => {
      wasDone = true;
      return Promise.resolve(1);
    });
    const behind = queue.take('a', never, () => Promise.resolve('done'));
    gone.abort();
    expect(await dropped).toBeUndefined();
    end();
    await first;
    expect([await behind, wasDone]).toEqual(['done', false]);
  });

  test('when a line is too long, whoever comes should be told to come again; others not; one that fails gives its turn on', async () => {
    const queue = new FairQueue(1, 2);
    let end: () => void = () => undefined;
    const first = queue.take('a', never, () => new Promise<void>((resolve) => (end = resolve)));
    const failing = queue.take('a', never, () => Promise.reject(new Error('x')));
    const waits = queue.take('a', never, () => Promise.resolve(2));
    await expect(queue.take('a', never, () => Promise.resolve(3))).rejects.toMatchObject({ refusal: { code: 'busy' } });
    const other = queue.take('b', never, () => Promise.resolve(4));
    end();
    await first;
    await expect(failing).rejects.toThrow('x');
    expect([await waits, await other]).toEqual([2, 4]);
  });
});
