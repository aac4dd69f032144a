import { placeChoices, shippedWords, stateId, type Finish, type State } from '@odograph/core';
import { finishChoices, finishId } from '@odograph/core';
import { expect, type Page } from './test.js';

const words = shippedWords();

/** The name under which a place is shown in the choices of a field. */
export const placeShown = (state: State): string =>
  placeChoices(words).find((c) => stateId(c.value) === stateId(state))!.texts[0]!;
export const finishShown = (finish: Finish): string =>
  finishChoices(words, null, null).find((c) => finishId(c.value) === finishId(finish))!.texts[0]!;

/** Somebody who types by a fixed rule: the letters of the name that is shown, from the first on, until it stands first, then one key to take it. Every key is counted. */
export class Typist {
  keys = 0;

  constructor(private readonly page: Page) {}

  async press(key: string): Promise<void> {
    this.keys++;
    await this.page.keyboard.press(key);
  }

  async type(text: string): Promise<void> {
    for (const letter of text) await this.press(letter);
  }

  private field(label: string) {
    return this.page.getByRole('combobox', { name: label, exact: true });
  }

  /** Says one part in the field that has the hand. What is proposed is taken by a single key. */
  async say(label: string, name: string): Promise<void> {
    const field = this.field(label);
    await expect(field).toBeFocused();
    const proposed = await field.getAttribute('placeholder');
    if (proposed === `${name}?` && (await field.inputValue()) === '') {
      await this.press('Enter');
      return;
    }
    const choices = this.page.getByRole('listbox', { name: label, exact: true });
    const first = choices.getByRole('option').first().locator('span').first();
    let typed = '';
    for (const letter of name.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')) {
      await this.press(letter);
      typed += letter;
      await expect(field).toHaveValue(typed);
      if ((await first.count()) && (await first.innerText()) === name) {
        await this.press('Enter');
        return;
      }
    }
    throw new Error(`"${name}" never stood first in ${label}`);
  }

  /** Says several, and leaves the field. */
  async sayAll(label: string, names: readonly string[]): Promise<void> {
    for (const name of names) {
      await this.say(label, name);
      await expect(this.page.getByRole('button', { name: 'Take back:' }).first()).toBeVisible();
    }
    await this.press('Enter');
  }

  /** Goes to a frame of the footage in hand. */
  async goTo(frame: number): Promise<void> {
    await this.press('g');
    await this.type(`#${frame}`);
    await this.press('Enter');
    await expect(this.page.getByTestId('picture')).toHaveAttribute('data-frame', String(frame));
  }
}
