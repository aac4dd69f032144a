import { describe, expect, test } from '@jest/globals';
import { movedDays } from './demoDates.js';

const rows = [{ date: '2031-05-24' }, { date: null }, { date: '2031-06-26' }];

describe('days of the demo', () => {
  test.each(['2026-11-29T12:00:00Z', '2031-06-26T00:00:00Z', '2040-02-29T23:59:59Z'])(
    'when it is loaded on %s, they should lie behind that day, in the last weeks, on their weekdays',
    (at) => {
      const now = new Date(at);
      const moved = movedDays(rows, now);
      expect(moved(null)).toBeNull();
      const [first, last] = [moved('2031-05-24'), moved('2031-06-26')];
      const days = (date: string): number => (now.getTime() - Date.parse(date)) / 86_400_000;
      expect(days(last)).toBeGreaterThan(1);
      expect(days(last)).toBeLessThan(9);
      expect(new Date(last).getUTCDay()).toBe(new Date('2031-06-26').getUTCDay());
      expect(Date.parse(last) - Date.parse(first)).toBe(Date.parse('2031-06-26') - Date.parse('2031-05-24'));
    },
  );

  test('when none has a day, nothing should change', () => {
    expect(movedDays([{ date: null }], new Date())('2031-05-24')).toBe('2031-05-24');
  });
});
