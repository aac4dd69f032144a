/** @jest-environment jsdom */
import { afterEach, beforeAll, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { makeSystem } from '../../design/index.js';
import { Magnifier } from './magnifier.js';
import { ZoomButtons, ZoomFrame } from './ZoomFrame.js';

beforeAll(() => {
  // jsdom has no scrolling, and pointers without buttons
  window.PointerEvent = MouseEvent as never;
  Element.prototype.scrollTo = jest.fn();
  Element.prototype.scrollBy = jest.fn();
});
afterEach(cleanup);

const show = (magnifier: Magnifier, of = '') => (
  <ChakraProvider value={makeSystem()}>
    <ZoomButtons magnifier={magnifier} />
    <ZoomFrame magnifier={magnifier} of={of}>
      <p>the map</p>
    </ZoomFrame>
  </ChakraProvider>
);
const percent = (): string => screen.getByRole('button', { name: 'Back to its own size' }).textContent;
const drawnAs = (): string => screen.getByText('the map').parentElement!.style.transform;

test('when the map is made larger by a press, a key or the wheel, only its size should change, and another map be shown in its own size again', () => {
  const magnifier = new Magnifier();
  const { rerender } = render(show(magnifier));
  expect(percent()).toBe('100 %');
  fireEvent.click(screen.getByRole('button', { name: 'Larger' }));
  expect([percent(), drawnAs()]).toEqual(['125 %', 'scale(1.25)']);
  const frame = screen.getByTestId('map-frame');
  fireEvent.keyDown(frame, { key: '+' });
  expect(percent()).toBe('156 %');
  fireEvent.keyDown(frame, { key: '0' });
  expect([percent(), drawnAs()]).toEqual(['100 %', '']);
  // the wheel by itself scrolls
  expect(fireEvent.wheel(frame, { deltaY: -100 })).toBe(true);
  expect(percent()).toBe('100 %');
  expect(fireEvent.wheel(frame, { deltaY: -100, ctrlKey: true })).toBe(false);
  expect(percent()).toBe('116 %');
  rerender(show(magnifier, 'half-guard/top'));
  expect(percent()).toBe('100 %');
});

test('when the ground is dragged, the map should move along, and a press on what acts should stay its own', () => {
  const magnifier = new Magnifier();
  render(show(magnifier));
  const frame = screen.getByTestId('map-frame');
  frame.setPointerCapture = jest.fn();
  const scrolled = jest.mocked(frame.scrollBy);
  scrolled.mockClear();
  fireEvent.pointerDown(screen.getByText('the map'), { button: 0 });
  fireEvent.pointerMove(frame, { movementX: 3, movementY: -2 });
  expect(scrolled).toHaveBeenCalledTimes(1);
  fireEvent.pointerUp(frame);
  fireEvent.pointerMove(frame, { movementX: 3, movementY: -2 });
  expect(scrolled).toHaveBeenCalledTimes(1);
});
