import { describe, expect, test } from '@jest/globals';
import * as BOARD from './board/board.text.js';
import * as CAMERAS from './cameras/cameras.text.js';
import * as CLIP from './clip/clip.text.js';
import * as CLOCK from './clock/clock.text.js';
import * as COURSE from './course/course.text.js';
import * as DESK from './desk/desk.text.js';
import * as DRAWING from './drawing/drawing.text.js';
import { KEY_ACTIONS } from './keys/keys.text.js';
import * as LIST from './list/list.text.js';
import * as MARKS from './marks/marks.text.js';
import * as PHRASE from './phrase/phrase.text.js';
import * as PICTURE from './picture/picture.text.js';
import * as REASONS from './reasons/reasons.text.js';
import * as STRETCHES from './stretches/stretches.text.js';
import * as TODO from './todo/todo.text.js';
import * as VIEWS from './views/views.text.js';

const ROOMS = [
  BOARD,
  CAMERAS,
  CLIP,
  CLOCK,
  COURSE,
  DESK,
  DRAWING,
  LIST,
  MARKS,
  PHRASE,
  PICTURE,
  REASONS,
  STRETCHES,
  TODO,
  VIEWS,
];

describe('texts of the bench', () => {
  test('when a text names a key, it should be one that does something', () => {
    const all = ROOMS.flatMap((room) => Object.values<object>(room)).flatMap((texts) =>
      Object.values<unknown>(texts as Record<string, unknown>).map((text) =>
        typeof text === 'string' ? text : typeof text === 'function' ? String(text) : '',
      ),
    );
    const named = all.flatMap((text) => [...text.matchAll(/(?<!\$)\{(.)\}/gu)].map((m) => m[1]!));
    expect(named.length).toBeGreaterThan(9);
    expect(named.filter((key) => !KEY_ACTIONS.some((k) => k.press === key))).toEqual([]);
  });
});
