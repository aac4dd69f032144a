import { describe, expect, test } from '@jest/globals';
import type { Link } from '@odograph/core';
import type { ClipView } from '../../library/index.js';
import { exchanges } from './exchanges.js';

const view = (id: string, attempt = id): ClipView => ({ clip: { id }, attempt: { id: attempt } }) as ClipView;
const link = (from: string, to: string, kind: Link['kind'] = 'touching'): Link => ({ from, to, kind });
const ids = (clips: readonly ClipView[], links: readonly Link[]): readonly string[] =>
  exchanges(clips, links).map((one) => one.map((v) => v.clip.id).join(' '));

describe('exchanges', () => {
  test('when attempts lead to each other, they should stand together; a seam or nothing between them begins the next', () => {
    const clips = ['a', 'b', 'c', 'd', 'e'].map((id) => view(id));
    expect(ids(clips, [link('a', 'b'), link('b', 'c', 'seam'), link('c', 'd', 'gap')])).toEqual(['a b', 'c d', 'e']);
    expect(ids([], [])).toEqual([]);
  });

  test('when one follows an earlier one of the same exchange, or looks at it again, it should stand there too', () => {
    const clips = [view('a'), view('b'), view('again', 'a'), view('c')];
    expect(ids(clips, [link('a', 'b'), link('a', 'c', 'counter')])).toEqual(['a b again c']);
  });

  test('when what comes between is no part of it, the later one should begin a paragraph of its own', () => {
    expect(ids([view('a'), view('x'), view('b')], [link('a', 'b', 'set')])).toEqual(['a', 'x', 'b']);
  });
});
