/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { configureStore } from '@reduxjs/toolkit';
import { buildHeights, buildLines, loggedOf, shippedWords, type PlaceId } from '@odograph/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { queueSlice } from '../replica/index.js';
import { serverApi } from '../server/index.js';
import { MapPlot } from './MapPlot.js';

const library = libraryWith([
  attemptWith('1', {
    state: { position: 'half-guard', role: 'top' },
    action: 'knee-through',
    result: 'success',
    finish: { kind: 'state', position: 'side-control', role: 'top' },
  }),
  attemptWith('2', { state: { position: 'half-guard', role: 'top' }, action: 'knee-through', result: 'failed' }),
  attemptWith('3', {
    state: { position: 'side-control', role: 'top' },
    action: 'double-wrist-lock',
    result: 'success',
    finish: { kind: 'submission', submission: 'double-wrist-lock', won: true },
  }),
]);
const { lines, ...totals } = buildLines(loggedOf(library), shippedWords());
const picture = {
  revision: 1,
  lines,
  totals,
  heights: Object.fromEntries(buildHeights(loggedOf(library), shippedWords())),
};
const places = [...new Set(lines.flatMap((l) => [l.from, l.to]))];

const show = (place?: PlaceId, drawn = lines) => {
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  const on = {
    pick: jest.fn<(place: PlaceId, isTarget: boolean) => void>(),
    line: jest.fn<(line: { id: string }) => void>(),
    whole: jest.fn<() => void>(),
  };
  render(
    <Provider store={store}>
      <MapPlot
        picture={picture}
        places={places}
        lines={drawn}
        place={place}
        target={undefined}
        inHand={undefined}
        unfolded={undefined}
        width={900}
        height={600}
        onPick={on.pick}
        onLine={on.line}
        onWhole={on.whole}
      />
    </Provider>,
  );
  return on;
};
const yOf = (name: string): number =>
  Number(
    screen
      .getByRole('button', { name })
      .querySelector('ellipse, rect')!
      .getAttribute(name.includes('won') ? 'y' : 'cy'),
  );

describe('the map as a picture', () => {
  afterEach(cleanup);

  test('when places are drawn, a better one should lie higher, and a submission won at the top', () => {
    show();
    expect(yOf('side control, top')).toBeLessThan(yOf('half guard, top'));
    expect(yOf('double wrist lock won')).toBeLessThan(yOf('side control, top'));
    expect(screen.getByText('better ↑')).toBeTruthy();
    expect(screen.getByText('half guard')).toBeTruthy();
  });

  test('when a line is looked at, attempts, successes and interval should be said', () => {
    show('half-guard/top' as PlaceId);
    expect(screen.getAllByText('led there 1 of 2, 9–91 %').length).toBeGreaterThan(0);
    const title = [...document.querySelectorAll('title')]
      .map((t) => t.textContent)
      .find((t) => t?.includes('→ side control'))!;
    expect(title).toBe('knee-through pass: half guard, top → side control, top. worked 1 of 2, led there 1 of 2');
  });

  test('when a place is picked by key, it should be the place; with shift, where it should lead', () => {
    const { pick } = show();
    const place = screen.getByRole('button', { name: 'half guard, top' });
    fireEvent.keyDown(place, { key: 'Enter' });
    fireEvent.keyDown(place, { key: ' ', shiftKey: true });
    fireEvent.keyDown(place, { key: 'x' });
    expect(pick.mock.calls).toEqual([
      ['half-guard/top', false],
      ['half-guard/top', true],
    ]);
  });

  test('when arrows are pressed on a place, the hand should go to its neighbours, and Escape lead back to the whole map', () => {
    const { whole } = show('half-guard/top' as PlaceId);
    const place = screen.getByRole('button', { name: 'half guard, top' });
    place.focus();
    fireEvent.keyDown(place, { key: 'ArrowRight' });
    expect(document.activeElement?.getAttribute('aria-label')).toBe('side control, top');
    fireEvent.keyDown(document.activeElement!, { key: 'ArrowLeft' });
    expect(document.activeElement).toBe(place);
    fireEvent.keyDown(place, { key: 'Escape' });
    expect(whole).toHaveBeenCalledTimes(1);
  });

  test('when several entries lead from one place to another, they should be one stroke until somebody points at it, and each by itself round a place', () => {
    const one = lines.find((l) => l.to === 'side-control/top')!;
    const beside = { ...one, id: 'beside', action: 'leg-weave', attempts: 6 };
    const drawn = (): readonly (string | null)[] =>
      [...document.querySelectorAll('[data-line]')].map((l) => l.getAttribute('data-line'));
    const others = lines.filter((l) => l !== one).map((l) => l.id);
    show(undefined, [...lines, beside]);
    expect(drawn()).not.toContain('beside');
    expect(drawn()).toHaveLength(lines.length);
    const bundle = document.querySelector('[data-bundle="2"]')!;
    expect(bundle.querySelector('title')!.textContent).toContain('2 entries: knee-through pass, leg-weave pass');
    const width = (): number => Number(bundle.querySelector(`[stroke^="var"]`)!.getAttribute('stroke-width'));
    const whole = width();
    fireEvent.mouseEnter(bundle);
    expect(new Set(drawn())).toEqual(new Set([...others, one.id, 'beside']));
    expect(width()).toBeLessThan(whole);
    fireEvent.mouseLeave(bundle);
    expect(drawn()).toHaveLength(lines.length);
    cleanup();
    show('half-guard/top' as PlaceId, [...lines, beside]);
    expect(drawn()).toContain('beside');
  });

  test('when a line is clicked, its clips should be asked for', () => {
    const { line } = show();
    const drawn = document.querySelector(`[data-line="${lines.find((l) => l.to === 'side-control/top')!.id}"]`)!;
    fireEvent.click(drawn);
    expect(line).toHaveBeenCalledWith(expect.objectContaining({ action: 'knee-through', to: 'side-control/top' }));
  });
});
