import { expect, test } from '@jest/globals';
import { clockText, readClock } from './stepTimes.js';

test('when minutes are typed, they should be read as a coach says them, and nothing else', () => {
  expect(['7:30', '7', ' 12:05 ', '0:09'].map(readClock)).toEqual([450, 420, 725, 9]);
  expect(['7:3', '7:75', 'soon', '', '-3'].map(readClock)).toEqual(Array(5).fill(undefined));
  expect([450, 420, 725, 9].map(clockText)).toEqual(['7:30', '7:00', '12:05', '0:09']);
});
