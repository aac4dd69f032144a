/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import { BARE_ALTERNATIVE, BARE_HOLD, BARE_REACTION, type Attempt } from '@odograph/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { attemptWith, libraryWith } from '../../../../test/library.js';
import { makeSystem } from '../../../design/index.js';
import { useClipViews } from '../../library/index.js';
import { queueSlice } from '../../replica/index.js';
import { libraryApi, serverApi } from '../../server/index.js';
import { Phrase } from './Phrase.js';

let forget: () => void = () => undefined;

const show = async (attempt: Attempt, before?: Attempt) => {
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  forget = () => void store.dispatch(serverApi.util.resetApiState());
  await store.dispatch(
    libraryApi.util.upsertQueryData('library', undefined, libraryWith(before ? [before, attempt] : [attempt])),
  );
  await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, { account: { id: 'own' } } as never));
  const onLeave = jest.fn<() => void>();
  const Bench = (): React.JSX.Element | null => {
    const views = useClipViews();
    const view = views.find((v) => v.attempt.id === attempt.id);
    return view ? (
      <Phrase
        view={view}
        before={views.find((v) => v.attempt.id === before?.id)}
        isFresh
        onLine={() => undefined}
        onLeave={onLeave}
        now={() => attempt.start}
      />
    ) : null;
  };
  render(
    <Provider store={store}>
      <ChakraProvider value={makeSystem()}>
        <Bench />
      </ChakraProvider>
    </Provider>,
  );
  const changes = (): unknown[] => store.getState().edits.pending.map((e) => ('changes' in e ? e.changes : e.kind));
  return {
    user: userEvent.setup(),
    onLeave,
    changes,
    part: (name: string) => screen.getByRole<HTMLInputElement>('combobox', { name }),
  };
};

describe('the phrase', () => {
  afterEach(() => {
    cleanup();
    forget();
  });

  test('what the other side holds should stand in the sentence, and be taken back by a click', async () => {
    const hold = { ...BARE_HOLD, holder: 'opponent', limb: 'hand', limbSide: 'left', kind: 'grip' } as const;
    const theirs = {
      ...hold,
      id: 't',
      target: 'sleeve',
      targetOwner: 'other',
      targetSide: 'left',
      cloth: true,
    } as const;
    const { user, changes } = await show(attemptWith('one', { controls: [theirs] }));
    expect(screen.getByRole('group', { name: 'Phrase' }).textContent).toContain(
      'while they have left hand on their left sleeve',
    );
    await user.click(screen.getByRole('button', { name: /Take back: left hand/ }));
    expect(changes()).toEqual([{ controls: [] }]);
  });

  test('when it was made up on the spot, that should be said in a word, and be taken back', async () => {
    const { user, part, changes } = await show(attemptWith('1', { action: 'armlock', lead: 'left' }));
    await user.click(part('Planned or on the spot'));
    await user.keyboard('spot{Enter}');
    expect(changes()).toEqual([{ planned: false }]);
    expect(part('Planned or on the spot').value).toBe('made up on the spot');
    await user.click(part('Planned or on the spot'));
    await user.clear(part('Planned or on the spot'));
    await user.keyboard('{Enter}');
    expect(changes().at(-1)).toEqual({ planned: null });
  });

  test('when parts were only proposed, Enter in one should confirm it, and one button all of them', async () => {
    const proposed = attemptWith('1', { result: 'success', proposed: ['stateRole', 'result'] });
    const { user, part, changes } = await show(proposed);
    expect(screen.getByTestId('proposed').textContent).toContain('from ');
    await user.click(part('Result'));
    await user.keyboard('{Enter}');
    expect(changes()).toEqual([{ result: 'success' }]);
    // what is said is not proposed any more, before the server says so
    expect(screen.getByTestId('proposed').textContent).not.toContain('worked');
    await user.click(screen.getByRole('button', { name: /That’s right/ }));
    expect(changes()).toEqual([{ result: 'success' }, { proposed: [] }]);
    expect(screen.queryByTestId('proposed')).toBeNull();
  });

  test('when a clip was just made, its position should have the hand, and Enter lead from part to part', async () => {
    const { user, part, changes, onLeave } = await show(attemptWith('1'));
    expect(document.activeElement).toBe(part('From position'));
    await user.keyboard('half top{Enter}');
    await user.keyboard('r arm underhook{Enter}lh sleeve{Enter}{Enter}');
    await user.keyboard('knee slice{Enter}');
    await user.keyboard('frame{Enter}{Enter}');
    await user.keyboard('side top{Enter}');
    await user.keyboard('ok{Enter}');
    await user.keyboard('settled{Enter}');
    expect(changes()).toEqual([
      { state: { position: 'half-guard', role: 'top' } },
      { controls: [expect.objectContaining({ limb: 'arm', limbSide: 'right', kind: 'underhook' })] },
      {
        controls: [
          expect.anything(),
          expect.objectContaining({ limb: 'hand', limbSide: 'left', target: 'sleeve', cloth: true }),
        ],
      },
      { action: 'knee-through' },
      { reactions: [expect.objectContaining({ what: 'frames' })] },
      { finish: { kind: 'state', position: 'side-control', role: 'top' } },
      { result: 'success' },
      { depth: 4 },
    ]);
    expect(document.activeElement).toBe(screen.getByRole('textbox', { name: 'Note' }));
    await user.keyboard('hips low{Enter}');
    expect(changes().at(-1)).toEqual({ note: 'hips low' });
    expect(onLeave).toHaveBeenCalledTimes(1);
  });

  test('when an attempt ended somewhere, that place should be offered first, turned for whoever acts now', async () => {
    const before = attemptWith('0', {
      state: { position: 'closed-guard', role: 'bottom' },
      action: 'hip-bump',
      result: 'success',
      finish: { kind: 'state', position: 'mount', role: 'top' },
      end: { frame: 4, pts: 4 },
    });
    const { user, part } = await show(attemptWith('1', { subject: 'b', start: { frame: 5, pts: 5 } }), before);
    await user.click(part('From position'));
    expect(screen.getAllByRole('option')[0]!.textContent).toBe('bottom mount');
  });

  test('when it failed, why should be asked; when it worked, not', async () => {
    const failed = await show(attemptWith('1', { result: 'failed', action: 'armlock' }));
    await failed.user.click(failed.part('Why'));
    await failed.user.keyboard('grip lost{Enter}');
    expect(failed.changes()).toEqual([{ reasons: [expect.objectContaining({ reason: 'grip-lost', main: true })] }]);
    cleanup();
    await show(attemptWith('1', { result: 'success', action: 'armlock' }));
    expect(screen.queryByRole('combobox', { name: 'Why' })).toBeNull();
  });

  test('when a submission is the aim, its caution should stand there', async () => {
    await show(attemptWith('1', { action: 'rear-choke' }));
    expect(screen.getByRole('note', { name: 'Caution' }).textContent).toContain('Pain does not warn in time');
  });

  test('when a hold is pointed at, or Backspace pressed behind it, it should be taken back', async () => {
    const hold = {
      id: 'h',
      holder: 'subject',
      limb: 'hand',
      limbSide: 'right',
      kind: 'grip',
      target: 'wrist',
      targetOwner: 'other',
      targetSide: null,
      ...BARE_HOLD,
      cloth: false,
      gained: null,
      lost: null,
    } as const;
    const { user, changes, part } = await show(
      attemptWith('1', { controls: [hold, { ...hold, id: 'i', target: 'elbow' }] }),
    );
    await user.click(screen.getByRole('button', { name: 'Take back: right hand on their wrist' }));
    expect(changes().at(-1)).toEqual({ controls: [expect.objectContaining({ id: 'i' })] });
    await user.click(part('Grips'));
    await user.keyboard('{Backspace}');
    expect(changes().at(-1)).toEqual({ controls: [] });
  });

  test('when it is said how good their reaction was, it should stand behind it, and Backspace take it back first', async () => {
    const frame = { id: 'r', what: 'frames', isAction: false, ...BARE_REACTION };
    const { user, part, changes } = await show(attemptWith('1', { action: 'knee-through', reactions: [frame] }));
    await user.click(part('Their reaction'));
    await user.keyboard('too late{Enter}');
    expect(changes()).toEqual([{ reactions: [{ ...frame, quality: 'late' }] }]);
    expect(screen.getByRole('button', { name: /frame \(too late\)/ })).toBeTruthy();
    await user.keyboard('decided{Enter}');
    expect(changes().at(-1)).toEqual({ reactions: [{ ...frame, quality: 'late', deciding: true }] });
    await user.keyboard('{Backspace}{Backspace}');
    expect(changes().at(-1)).toEqual({ reactions: [frame] });
    await user.keyboard('{Backspace}');
    expect(changes().at(-1)).toEqual({ reactions: [] });
  });

  test('when Escape is pressed, the picture should have the hand again', async () => {
    const { user, onLeave } = await show(attemptWith('1'));
    await user.keyboard('{Escape}');
    expect(onLeave).toHaveBeenCalledTimes(1);
  });

  test('when facts and what a grip was like are typed where grips are, they should stand in the sentence and go again', async () => {
    const { user, part, changes } = await show(attemptWith('1', { state: { position: 'half-guard', role: 'top' } }));
    const grips = part('Grips');
    await user.type(grips, 'hips low{Enter}knees inside{Enter}');
    expect(changes().at(-1)).toMatchObject({
      facts: [
        { fact: 'hips', value: 'mat', whose: 'subject', when: 'start' },
        { fact: 'knees-inside', value: 'both', whose: 'subject' },
      ],
    });
    await user.type(grips, 'rh left sleeve{Enter}below the elbow{Enter}to steer{Enter}not seen{Enter}');
    expect(changes().at(-1)).toMatchObject({
      controls: [{ target: 'sleeve', place: 'below the elbow', purposes: ['steer'], hidden: true }],
    });
    expect(screen.getByRole('group', { name: 'Phrase' }).textContent).toContain(
      'hips on the mat, both knees inside with right hand on their left sleeve (below the elbow, to steer, not seen)',
    );
    await user.type(grips, '{Backspace}{Backspace}');
    expect(changes().at(-1)).toMatchObject({ controls: [{ place: 'below the elbow', purposes: [], hidden: false }] });
    await user.click(screen.getByRole('button', { name: 'Take back: hips on the mat' }));
    expect(changes().at(-1)).toMatchObject({ facts: [{ fact: 'knees-inside' }] });
  });

  test('when it is said why it went so, each should be kept as what it is, and be taken back', async () => {
    const { user, part, changes } = await show(
      attemptWith('1', {
        state: { position: 'half-guard', role: 'top' },
        action: 'knee-slice',
        result: 'failed',
        reactions: [{ ...BARE_REACTION, id: 'r', what: 'frames', isAction: false }],
      }),
    );
    await user.click(screen.getByRole('textbox', { name: 'Note' }));
    const why = part('What else there was, and why');
    await user.type(why, 'they should have hip out{Enter}but too late{Enter}until here{Enter}');
    expect(changes().at(-1)).toMatchObject({
      alternatives: [{ by: 'opponent', what: 'hips-out', isAction: false, why: 'late', until: { frame: 0 } }],
    });
    await user.type(why, 'frame prevents knee slice{Enter}guess{Enter}');
    expect(changes().at(-1)).toMatchObject({
      links: [{ from: { part: 'reaction:r' }, to: { part: 'action' }, kind: 'prevents', isSure: false }],
    });
    await user.type(why, 'failed: felt{Enter}');
    expect(changes().at(-1)).toMatchObject({ evidence: [{ part: 'result', how: 'felt', proof: null }] });
    await user.type(why, 'I felt it{Enter}');
    expect(changes().at(-1)).toMatchObject({ evidence: [{ by: { kind: 'account', accountId: 'own' } }] });
    screen.getByRole('button', { name: 'Take back: failed: felt or heard by you' });
    await user.type(why, 'orla told me{Enter}');
    expect(changes().at(-1)).toMatchObject({
      evidence: [{ part: 'result', how: 'felt', by: { kind: 'person', personId: 'orla' } }],
    });
    await user.type(why, 'by sitting up{Enter}');
    expect(changes().at(-1)).toEqual({ form: 'by sitting up' });
    await user.click(screen.getByRole('button', { name: 'Take back: failed: felt or heard by Orla Venn' }));
    expect(changes().at(-1)).toEqual({ evidence: [] });
  });

  test('when the same way out was told of several attempts, the time to act should stand with that of all of them', async () => {
    const told = (id: string, until: number): Attempt =>
      attemptWith(id, {
        ...{ action: 'knee-slice', start: { frame: 0, pts: 0 }, commit: null },
        alternatives: [
          {
            ...{ ...BARE_ALTERNATIVE, id: `way ${id}`, by: 'opponent', what: 'hips-out', isAction: false },
            until: { frame: until, pts: until },
          },
        ],
      });
    await show(told('1', 5), told('2', 2));
    await screen.findByText(/hip out \(theirs\), until frame 5 .*to act, 5 frames\); over 2 told: mostly/);
  });
});
