/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { entryChoices, shippedWords } from '@odograph/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { WordField, among } from './fields.js';
import { makeSystem } from './index.js';

const find = among(entryChoices(shippedWords(), null));

const show = (more: Partial<Parameters<typeof WordField<string>>[0]> = {}) => {
  const on = { pick: jest.fn<(value: string) => void>(), clear: jest.fn<() => void>(), next: jest.fn<() => void>() };
  render(
    <ChakraProvider value={makeSystem()}>
      <WordField
        label="Entry"
        placeholder="what they do"
        said={null}
        find={find}
        onPick={on.pick}
        onClear={on.clear}
        onNext={on.next}
        {...more}
      />
      <button type="button">after</button>
    </ChakraProvider>,
  );
  return { ...on, field: screen.getByRole<HTMLInputElement>('combobox', { name: 'Entry' }), user: userEvent.setup() };
};

describe('a part of the phrase', () => {
  afterEach(cleanup);

  test('when an alias is typed and Enter pressed, its word should be taken and the next part come', async () => {
    const { user, field, pick, next } = show();
    await user.type(field, 'knee slice{Enter}');
    expect(pick).toHaveBeenCalledWith('knee-through');
    expect(next).toHaveBeenCalledTimes(1);
  });

  test('when a slip of the key is made, the word should still stand first, with the alias that fitted beside it', async () => {
    const { user, field } = show();
    await user.type(field, 'armbr');
    const [first] = screen.getAllByRole('option');
    expect(first!.textContent).toContain('straight armlock');
    expect(first!.textContent).toContain('armbar');
  });

  test('when a resting pointer is passed by the list, Enter should still take what stands first', async () => {
    const { user, field, pick } = show();
    await user.type(field, 'armb');
    const list = screen.getByRole('listbox', { name: 'Entry' });
    await user.hover(list);
    await user.unhover(list);
    await user.keyboard('{Enter}');
    expect(pick).toHaveBeenCalledWith('armlock');
  });

  test('when a single letter is typed, Enter should take what stands first', async () => {
    const { user, field, pick } = show();
    await user.type(field, 't');
    const first = screen.getAllByRole('option')[0]!;
    expect(first.getAttribute('aria-selected')).toBe('true');
    await user.keyboard('{Enter}');
    expect(pick).toHaveBeenCalledTimes(1);
  });

  test('when Tab is pressed, what stands first should be taken', async () => {
    const { user, field, pick } = show();
    await user.type(field, 'tria');
    await user.tab();
    expect(pick).toHaveBeenCalledWith('triangle');
  });

  test('when nothing was typed, Enter and Tab should go on without taking anything', async () => {
    const { user, field, pick, next } = show({ said: 'triangle choke' });
    await user.click(field);
    await user.keyboard('{Enter}');
    await user.tab();
    expect(next).toHaveBeenCalledTimes(1);
    expect(pick).not.toHaveBeenCalled();
    expect(field.value).toBe('triangle choke');
  });

  test('when a text fits nothing, it should stay, be marked and not be taken', async () => {
    const { user, field, pick, next } = show();
    await user.type(field, 'zzqx{Enter}');
    expect(field.value).toBe('zzqx');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/No word here sounds like/)).toBeTruthy();
    expect(pick).not.toHaveBeenCalled();
    expect(next).not.toHaveBeenCalled();
    await user.keyboard('{Escape}');
    expect(field.value).toBe('');
  });

  test('when the field is clicked, what is likely here should be offered at once, with nothing taken yet', async () => {
    const { user, field, pick } = show();
    await user.click(field);
    expect(screen.getAllByRole('option')).toHaveLength(8);
    await user.click(screen.getAllByRole('option')[2]!);
    expect(pick).toHaveBeenCalledTimes(1);
  });

  test('when the field is empty, Backspace should take back what was said', async () => {
    const { user, field, clear } = show({ said: 'triangle choke' });
    await user.click(field);
    await user.keyboard('{Backspace}{Backspace}');
    expect(clear).toHaveBeenCalledTimes(1);
  });

  test('when several can be said, the field should stay and be empty after each', async () => {
    const { user, field, pick, next } = show({ several: true });
    await user.type(field, 'tria{Enter}');
    await user.type(field, 'upa{Enter}');
    expect(pick.mock.calls.map(([v]) => v)).toEqual(['triangle', 'bridge-and-roll']);
    expect(next).not.toHaveBeenCalled();
    expect(field.value).toBe('');
    await user.keyboard('{Enter}');
    expect(next).toHaveBeenCalledTimes(1);
  });
});
