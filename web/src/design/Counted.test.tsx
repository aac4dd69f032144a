/** @jest-environment jsdom */
import { ChakraProvider } from '@chakra-ui/react';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { Counted } from './Counted.js';
import { makeSystem } from './theme.js';

const show = (value: string): void => {
  render(
    <ChakraProvider value={makeSystem()}>
      <Counted aria-label="Name" limit={20} value={value} onChange={() => undefined} />
    </ChakraProvider>,
  );
};

describe('a text with a limit', () => {
  afterEach(cleanup);

  test('when it is short, nothing should be counted', () => {
    show('Thursday');
    expect(screen.queryByRole('status')).toBeNull();
  });

  test('when it comes near the limit, it should be counted; past it nothing is cut, and how much is too many said', () => {
    show('Thursday, round two');
    expect(screen.getByRole('status').textContent).toBe('19 of 20');
    cleanup();
    show('Thursday, round two, late');
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Thursday, round two, late');
    expect(screen.getByRole('status').textContent).toBe('25 of 20: 5 too many');
    expect(screen.getByRole('textbox').getAttribute('aria-invalid')).toBe('true');
  });
});
