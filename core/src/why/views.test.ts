import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  VIEW_KINDS,
  type Attempt,
  type Clip,
  type Evidence,
  type ViewKind,
  type ViewStretch,
} from '../attempts/index.js';
import { BARE_CLIP } from '../rows/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { unclearProofs, viewAt, viewFault, withViewFrom, withViewTo } from './index.js';

const at = (frame: number) => ({ frame, pts: frame });
const clip = (views: readonly ViewStretch[] = []): Clip => ({
  ...{ ...BARE_CLIP, id: 'c', version: 1, attemptId: 'a', angleId: 'g', in: at(0), out: at(100), views },
});
const stretch = (id: string, from: number, to: number, kind: ViewKind): ViewStretch => ({
  id,
  in: at(from),
  out: at(to),
  kind,
});

describe('how well a clip shows it', () => {
  test('a stretch should begin where it is said, end with the next or with the clip, and take what another said from there', () => {
    const referee = withViewFrom(clip(), 'referee', at(20), '1');
    expect(referee).toEqual([stretch('1', 20, 100, 'referee')]);
    const clear = withViewFrom(clip(referee), 'clear', at(50), '2');
    expect(clear).toEqual([stretch('1', 20, 50, 'referee'), stretch('2', 50, 100, 'clear')]);
    expect(withViewFrom(clip(clear), 'fast', at(10), '3')[0]).toEqual(stretch('3', 10, 20, 'fast'));
    expect(withViewTo(clear, at(30))).toEqual([stretch('1', 20, 30, 'referee'), stretch('2', 50, 100, 'clear')]);
    expect(withViewFrom(clip(clear), 'black', at(100), '4')).toBe(clear);
  });

  test('whatever is said in whatever order, no two should overlap, and each frame be what was said of it last from before it', () => {
    const said = fc.array(fc.tuple(fc.nat(99), fc.constantFrom(...VIEW_KINDS)), { maxLength: 12 });
    fc.assert(
      fc.property(said, (all) => {
        let views: readonly ViewStretch[] = [];
        // frame by frame, as a pencil would do it
        const line: (ViewKind | null)[] = Array.from({ length: 100 }, () => null);
        for (const [i, [from, kind]] of all.entries()) {
          const next =
            views
              .map((v) => v.in.frame)
              .filter((f) => f > from)
              .sort((a, b) => a - b)[0] ?? 100;
          line.fill(kind, from, next);
          views = withViewFrom(clip(views), kind, at(from), String(i));
        }
        expect(viewFault(views)).toBeUndefined();
        expect(line.map((_, frame) => viewAt(clip(views), frame))).toEqual(line);
      }),
    );
  });

  test('stretches that overlap or are empty should be named', () => {
    expect(viewFault([stretch('1', 0, 10, 'clear'), stretch('2', 9, 20, 'black')])).toEqual({ at: 1, is: 'overlaps' });
    expect(viewFault([stretch('2', 5, 9, 'clear'), stretch('1', 5, 9, 'black')])).toMatchObject({ is: 'overlaps' });
    expect(viewFault([stretch('1', 4, 4, 'clear')])).toEqual({ at: 0, is: 'empty' });
    expect(viewFault([stretch('1', 0, 10, 'clear'), stretch('2', 10, 20, 'black')])).toBeUndefined();
  });

  test('a proof should be pointed out where its frame lies in such a stretch, or its clip is nowhere clear', () => {
    const proved = (proof: Evidence['proof']): Attempt => ({
      ...attemptOf(TOLD[0]!),
      evidence: [{ part: 'result', how: 'felt', proof, by: null }],
    });
    const blocked = clip([stretch('1', 20, 50, 'referee'), stretch('2', 50, 100, 'clear')]);
    const frame = (n: number): Attempt => proved({ kind: 'frame', angleId: 'g', frame: n });
    expect(unclearProofs([frame(30)], [blocked])).toMatchObject([{ part: 'result', kind: 'referee', frame: 30 }]);
    expect(unclearProofs([frame(60), frame(10)], [blocked])).toEqual([]);
    const whole = proved({ kind: 'clip', clipId: 'c' });
    expect(unclearProofs([whole], [blocked])).toEqual([]);
    expect(unclearProofs([whole], [clip([stretch('1', 0, 60, 'fast'), stretch('2', 60, 100, 'black')])])).toMatchObject(
      [{ kind: 'fast', clipId: 'c' }],
    );
  });
});
