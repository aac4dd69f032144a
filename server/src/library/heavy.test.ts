import { setImmediate as tick } from 'node:timers/promises';
import { describe, expect, test } from '@jest/globals';
import { HeavyTurns } from './heavy.js';

describe('turns for heavy questions', () => {
  test('when many ask, two should be answered at once, one of an account, all in their order, and too many be told to come again', async () => {
    const turns = new HeavyTurns();
    const [running, most, order]: [string[], number[], string[]] = [[], [], []];
    const ends: (() => void)[] = [];
    const ask = (who: string): Promise<void> =>
      turns.take(who, async () => {
        running.push(who);
        most.push(running.length);
        order.push(who);
        expect(new Set(running).size).toBe(running.length);
        await new Promise<void>((end) => ends.push(end));
        running.splice(running.indexOf(who), 1);
      });
    const all = ['a', 'a', 'b', 'a', 'c', 'd'].map(ask);
    while (order.length < 6 || ends.length) {
      await tick();
      ends.shift()?.();
    }
    await Promise.all(all);
    expect(Math.max(...most)).toBe(2);
    expect(order.indexOf('b')).toBeLessThan(order.lastIndexOf('a'));
    const stuck = Array.from({ length: 22 }, (_, i) => ask(`x${i}`));
    await expect(ask('one more')).rejects.toMatchObject({ refusal: { code: 'busy' } });
    while (order.length < 28 || ends.length) {
      await tick();
      ends.shift()?.();
    }
    await Promise.all(stuck);
  });

  test('when one fails, the next should have its turn', async () => {
    const turns = new HeavyTurns();
    await expect(turns.take('a', () => Promise.reject(new Error('x')))).rejects.toThrow('x');
    expect(await turns.take('a', () => Promise.resolve(7))).toBe(7);
  });
});
