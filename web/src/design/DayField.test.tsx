/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { DayField, makeSystem } from './index.js';

const Holder = ({ onSaid }: { readonly onSaid: (day: string) => void }): React.JSX.Element => {
  const [day, setDay] = useState('2026-11-30');
  return (
    <ChakraProvider value={makeSystem()}>
      <DayField
        label="First day"
        value={day}
        onChange={(next) => {
          setDay(next);
          onSaid(next);
        }}
      />
      <button type="button">elsewhere</button>
    </ChakraProvider>
  );
};
const show = () => {
  const said: string[] = [];
  render(<Holder onSaid={(day) => said.push(day)} />);
  return { said, user: userEvent.setup(), field: screen.getByLabelText<HTMLInputElement>('First day') };
};

describe('a field for a day', () => {
  afterEach(cleanup);

  test('when a day is typed, it should be said as days are written, by Enter or by leaving', async () => {
    const { said, user, field } = show();
    await user.clear(field);
    await user.type(field, '3 nov 2025{Enter}');
    expect([said, field.value]).toEqual([['2025-11-03'], '3 Nov 2025']);
    await user.clear(field);
    await user.type(field, '2024-02-29');
    await user.click(screen.getByText('elsewhere'));
    expect([said.at(-1), field.value]).toEqual(['2024-02-29', '29 Feb 2024']);
    await user.clear(field);
    await user.click(screen.getByText('elsewhere'));
    expect(said.at(-1)).toBe('');
    // who only passes through says nothing
    await user.click(field);
    await user.click(screen.getByText('elsewhere'));
    expect(said).toHaveLength(3);
  });

  test('when it is no day, that should be said, what was typed stay, and nothing be put in its place', async () => {
    const { said, user, field } = show();
    await user.clear(field);
    await user.type(field, '31 feb{Enter}');
    await user.click(screen.getByText('elsewhere'));
    expect([said, field.value]).toEqual([[], '31 feb']);
    expect(screen.getByRole('alert').textContent).toContain('No such day');
    expect(field.getAttribute('aria-invalid')).toBe('true');
  });

  test('when a day is picked from the month, the field should say it and the month close', async () => {
    // what is fetched when it is asked for is there already: how long that takes is the machine's
    await import('./DayCalendar.js');
    const { said, user, field } = show();
    await user.click(screen.getByRole('button', { name: 'Pick: First day' }));
    const day = (await screen.findAllByText('17', {}, { timeout: 30_000 }))[0]!;
    await user.click(day);
    expect([said, field.value]).toEqual([['2026-11-17'], '17 Nov 2026']);
    expect(screen.queryByText('18')).toBeNull();
  }, 60_000);
});
