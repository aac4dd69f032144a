import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { defaultHeight, type PlaceId } from '../attempts/index.js';
import {
  ACTION_KINDS,
  CONTROL_KINDS,
  FAMILIES,
  SHIPPED_WORDS,
  WORD_KINDS,
  cautionsOf,
  otherRole,
  shippedWords,
  type Words,
  tokens,
  withChanges,
  type Circumstances,
} from './index.js';

const words = shippedWords();

describe('the words that ship', () => {
  test.each([
    ['position', 90],
    ['action', 130],
    ['target', 60],
    ['submission', 45],
    ['reaction', 45],
    ['reason', 40],
  ] as const)('when %s words are counted, there should be at least %i', (kind, least) => {
    expect(words.of(kind).length).toBeGreaterThanOrEqual(least);
  });

  test('when keys are compared, each should be there once in its kind and fit a request', () => {
    for (const kind of WORD_KINDS) {
      const keys = words.of(kind).map((w) => w.key);
      expect(new Set(keys).size).toBe(keys.length);
      for (const key of keys) expect(key).toMatch(/^[a-z0-9-]{1,60}$/);
    }
  });

  test('when a way of saying a word is looked up, it should mean one word of its kind only, but for what is asked about', () => {
    const asked = ['guard'];
    for (const kind of WORD_KINDS) {
      const meanings = new Map<string, Set<string>>();
      for (const w of words.of(kind))
        for (const text of [w.name, ...w.aliases])
          meanings.set(tokens(text).join(' '), (meanings.get(tokens(text).join(' ')) ?? new Set()).add(w.key));
      expect([...meanings].filter(([text, keys]) => keys.size > 1 && !asked.includes(text))).toEqual([]);
    }
  });

  test('when positions are read, roles, parents, leads and requirements should fit each other', () => {
    for (const p of words.of('position')) {
      expect(FAMILIES).toContain(p.family);
      if (p.roles.length > 1) expect(otherRole(p.roles[0]!)).toBe(p.roles[1]);
      if (p.parent !== undefined) expect(words.position(p.parent)).toMatchObject({ roles: p.roles });
      if (words.position(p.parent ?? '')) expect(words.position(p.parent!)!.parent).toBeUndefined();
      if (p.lead) expect(p.roles).toContain(p.lead.role);
      expect(Math.abs(p.height)).toBeLessThanOrEqual(5);
      if (p.roles[0] === 'even') expect(p.height).toBe(0);
      for (const r of p.requires ?? []) {
        expect(words.target(r.target)?.cloth).toBe(r.cloth);
        expect(CONTROL_KINDS).toContain(r.kind);
      }
    }
  });

  test('when actions are read, aims and families should be there', () => {
    for (const a of words.of('action')) {
      expect(ACTION_KINDS).toContain(a.does);
      // what keeps what is held aims at no place
      const aimless = ['grip', 'hold', 'off-balance'].includes(a.does);
      expect([a.key, a.aims.length > 0]).toEqual([a.key, !aimless]);
      if (a.parent !== undefined) expect(words.action(a.parent)).toMatchObject({ does: a.does });
      for (const f of a.from) expect(FAMILIES).toContain(f);
      for (const aim of a.aims) {
        if ('submission' in aim) expect(words.submission(aim.submission)).toBeDefined();
        else if ('position' in aim) expect(words.hasRole(aim.position, aim.role)).toBe(true);
        else expect(words.of('position').some((p) => p.family === aim.family && p.roles.includes(aim.role))).toBe(true);
      }
    }
  });
});

describe('heights', () => {
  const height = (place: string): number => defaultHeight(place as PlaceId, words)!;

  test.each([
    ['back/attacker', 'mount/top'],
    ['mount/top', 'side-control/top'],
    ['side-control/top', 'half-guard/top'],
    ['knee-on-belly/top', 'side-control/top'],
    ['high-mount/top', 'mount/top'],
    ['armlock-hold/attacker', 'back/attacker'],
    ['turtle/top', 'front-headlock/top'],
    ['seat-belt-turtle/top', 'turtle/top'],
    ['one-hook-back/attacker', 'turtle/top'],
    ['back/attacker', 'one-hook-back/attacker'],
    ['legs-free/top', 'quarter-guard/top'],
    ['quarter-guard/top', 'half-guard/top'],
    ['half-guard/top', 'knee-shield/top'],
    ['flat-half/top', 'half-guard/top'],
    ['side-control/top', 'legs-free/top'],
    ['saddle/attacker', 'straight-entanglement/attacker'],
    ['straight-entanglement/attacker', 'fifty-fifty/even'],
    ['high-guard/bottom', 'closed-guard/bottom'],
    ['closed-guard/bottom', 'open-guard/bottom'],
    ['rear-waist/attacker', 'front-body-lock/attacker'],
    ['triangle-hold/attacker', 'high-guard/bottom'],
    ['half-guard/top', 'deep-half/top'],
  ])('when %s is compared, it should stand above %s', (better, worse) => {
    expect(height(better)).toBeGreaterThan(height(worse));
    expect(height(better)).toBeGreaterThan(0);
  });

  test('when a height is looked up, the page should say why in a line, as the list does', () => {
    const page = readFileSync(join(__dirname, '../../../docs/heights.md'), 'utf8');
    for (const p of words.of('position')) {
      expect([p.key, (p.why ?? '').length > 10]).toEqual([p.key, true]);
      expect(page).toContain(`| ${p.name} | ${p.roles[0]} | ${p.height} | ${p.why} |`);
    }
    expect(height('deep-half/top')).toBeCloseTo(0, 1);
  });
});

describe('what can hurt', () => {
  test('when an action can hurt by itself, its caution should stand with it, whatever it ends in', () => {
    for (const [key, about] of [
      ['jump-guard', 'knee of whoever stands'],
      ['scissor-takedown', 'knee ligaments'],
      ['lift-return', 'dropped'],
      ['hip-throw', 'lands on them'],
      ['valley-drop', 'knee ligaments'],
      ['roll-to-legs', 'knee ligaments'],
      ['flying-armlock', 'whoever jumps'],
      ['heel-twist', 'knee ligaments'],
      ['double-leg', 'by falling'],
    ] as const)
      expect([key, cautionsOf(words, { action: key }).some((c) => c.injures.includes(about))]).toEqual([key, true]);
  });
});

describe('trying a submission', () => {
  test('when a submission has no action of its own, there should be one that aims at it, by its names', () => {
    const own = withChanges(SHIPPED_WORDS, [
      {
        ...{ id: '1', version: 1, kind: 'submission', key: 'own-clamp', name: 'harbour clamp' },
        aliases: [{ id: '2', alias: 'the clamp', scope: { kind: 'academy' } }],
        definition: {
          kind: 'submission',
          risk: { injures: 'elbow', class: 'joint lock', pain: 'warns', care: 'Slowly.' },
        },
      },
    ]);
    expect(own.action('try-own-clamp')).toMatchObject({
      name: 'harbour clamp',
      aliases: ['the clamp'],
      aims: [{ submission: 'own-clamp' }],
    });
    expect(own.all.some((w) => w.key === 'try-own-clamp')).toBe(false);
    expect(['straight-armlock', 'own-clamp', 'nothing'].map((s) => own.tryOf(s)?.key)).toEqual([
      'armlock',
      'try-own-clamp',
      undefined,
    ]);
    for (const s of own.of('submission'))
      expect(
        own
          .of('action')
          .some((a) => a.aims.length === 1 && 'submission' in a.aims[0]! && a.aims[0].submission === s.key),
      ).toBe(true);
  });
});

describe("an academy's own changes", () => {
  test('when a word is renamed and gets aliases, its key should stay and the shipped name become an alias', () => {
    const own = withChanges(SHIPPED_WORDS, [
      {
        id: '1',
        version: 1,
        kind: 'action',
        key: 'knee-through',
        name: 'the Thursday pass',
        aliases: [{ id: '2', alias: 'kt', scope: { kind: 'academy' } }],
      },
    ]);
    expect(own.action('knee-through')).toMatchObject({ name: 'the Thursday pass' });
    expect(own.action('knee-through')!.aliases).toEqual(
      expect.arrayContaining(['knee slice', 'knee-through pass', 'kt']),
    );
  });

  test('when the shipped list is renewed, only what the academy changed should stay its own', () => {
    const renewed = SHIPPED_WORDS.map((w) =>
      w.key === 'mount' && w.kind === 'position' ? { ...w, height: 3.7, name: 'full mount' } : w,
    );
    const own = withChanges(renewed, [
      {
        id: '1',
        version: 1,
        kind: 'position',
        key: 'mount',
        aliases: [{ id: '2', alias: 'on the chest', scope: { kind: 'academy' } }],
      },
    ]);
    expect(own.position('mount')).toMatchObject({ height: 3.7, name: 'full mount' });
  });

  test('when a word is hidden, it should not be offered, and stay readable with its caution where it stands', () => {
    const own = withChanges(SHIPPED_WORDS, [
      { id: '1', version: 1, kind: 'submission', key: 'heel-twist', hidden: true },
    ]);
    expect(own.of('submission').some((s) => s.key === 'heel-twist')).toBe(false);
    expect(own.name('submission', 'heel-twist')).toBe(words.name('submission', 'heel-twist'));
    expect(cautionsOf(own, { action: null, submission: 'heel-twist' })).toHaveLength(1);
  });

  test('when an academy adds a word, it should be one like the shipped ones; without a definition it is kept out', () => {
    const added = {
      id: '1',
      version: 1,
      kind: 'position',
      key: 'own-ladder',
      name: 'ladder guard',
      definition: { kind: 'position', family: 'open guard', roles: ['bottom', 'top'], height: 0.25 },
    } as const;
    const own = withChanges(SHIPPED_WORDS, [
      added,
      { id: '2', version: 1, kind: 'position', key: 'own-other', name: 'no more than a name' },
    ]);
    expect(own.position('own-ladder')).toMatchObject({ name: 'ladder guard', height: 0.25, facing: 'facing' });
    expect(own.hasRole('own-ladder', 'bottom')).toBe(true);
    expect(own.position('own-other')).toBeUndefined();
    expect(defaultHeight('own-ladder/top' as PlaceId, own)).toBe(-0.25);
  });

  test('when an alias or a word holds for one coach or one footage, it should be offered only there', () => {
    const changes = [
      {
        id: '1',
        version: 1,
        kind: 'position',
        key: 'mount',
        aliases: [
          { id: '2', alias: 'mine', scope: { kind: 'coach', accountId: 'orla' } },
          { id: '3', alias: 'here', scope: { kind: 'footage', footageId: 'f' } },
        ],
      },
      {
        id: '4',
        version: 1,
        kind: 'reaction',
        key: 'own-turn',
        name: 'turns the wrong way',
        definition: { kind: 'reaction' },
        scope: { kind: 'coach', accountId: 'orla' },
      },
    ] as const;
    const aliasesFor = (who: Circumstances): readonly string[] =>
      withChanges(SHIPPED_WORDS, changes, who)
        .position('mount')!
        .aliases.filter((a) => ['mine', 'here'].includes(a));
    expect(aliasesFor({})).toEqual([]);
    expect(aliasesFor({ accountId: 'orla' })).toEqual(['mine']);
    expect(aliasesFor({ accountId: 'sten', footageId: 'f' })).toEqual(['here']);
    const forOthers = withChanges(SHIPPED_WORDS, changes, { accountId: 'sten' });
    expect(forOthers.of('reaction').some((r) => r.key === 'own-turn')).toBe(false);
    expect(forOthers.name('reaction', 'own-turn')).toBe('turns the wrong way');
  });
});

describe('the scope of a new name and of hiding', () => {
  const changes = [
    {
      id: '1',
      version: 1,
      kind: 'position',
      key: 'mount',
      name: 'on top of it all',
      scope: { kind: 'coach', accountId: 'orla' },
    },
    {
      id: '2',
      version: 1,
      kind: 'reaction',
      key: 'frames',
      hidden: true,
      scope: { kind: 'footage', footageId: 'f' },
    },
  ] as const;
  const wordsFor = (who: Circumstances): Words => withChanges(SHIPPED_WORDS, changes, who);

  test('when a coach renames a word for himself, others should read it as it ships, and he find it by both names', () => {
    expect(wordsFor({}).name('position', 'mount')).toBe('mount');
    expect(wordsFor({ accountId: 'sten' }).position('mount')!.aliases).not.toContain('on top of it all');
    const his = wordsFor({ accountId: 'orla' }).position('mount')!;
    expect(his.name).toBe('on top of it all');
    expect(his.aliases).toContain('mount');
  });

  test('when a word is hidden for one footage, it should be offered everywhere else, and be read there all the same', () => {
    const isOffered = (who: Circumstances): boolean =>
      wordsFor(who)
        .of('reaction')
        .some((r) => r.key === 'frames');
    expect([isOffered({}), isOffered({ footageId: 'g' }), isOffered({ footageId: 'f' })]).toEqual([true, true, false]);
    expect(wordsFor({ footageId: 'f' }).get('reaction', 'frames')).toBeDefined();
  });
});

describe('cautions', () => {
  test('when a submission is aimed at or reached, its risk should be said once', () => {
    expect(cautionsOf(words, { action: 'rear-choke', submission: 'rear-choke' })).toEqual([
      expect.objectContaining({ about: 'rear choke', pain: 'does not warn' }),
    ]);
    expect(cautionsOf(words, { action: 'foot-twist' })[0]!.injures).toMatch(/knee/);
  });

  test('when somebody is taken down, falling should be warned of; a pass has no caution of its own', () => {
    expect(cautionsOf(words, { action: 'double-leg' })).toEqual([
      expect.objectContaining({ about: 'double-leg takedown' }),
    ]);
    expect(cautionsOf(words, { action: 'knee-through' })).toEqual([]);
    expect(cautionsOf(words, { action: null })).toEqual([]);
  });

  test('when any caution is read, it should never call anything safe', () => {
    for (const s of words.of('submission')) expect(`${s.risk.care} ${s.risk.injures}`).not.toMatch(/\bsafe\b/i);
  });
});
