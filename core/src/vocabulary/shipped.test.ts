import { describe, expect, test } from '@jest/globals';
import {
  ACTION_KINDS,
  CONTROL_KINDS,
  FAMILIES,
  SHIPPED_WORDS,
  WORD_KINDS,
  cautionsOf,
  otherRole,
  shippedWords,
  tokens,
  withChanges,
} from './index.js';

const words = shippedWords();

describe('the words that ship', () => {
  test.each([
    ['position', 24],
    ['action', 24],
    ['target', 12],
    ['submission', 12],
    ['reaction', 8],
    ['reason', 8],
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

  test('when a way of saying a word is looked up, it should mean one word of its kind only', () => {
    for (const kind of WORD_KINDS) {
      const meanings = new Map<string, Set<string>>();
      for (const w of words.of(kind))
        for (const text of [w.name, ...w.aliases])
          meanings.set(tokens(text).join(' '), (meanings.get(tokens(text).join(' ')) ?? new Set()).add(w.key));
      expect([...meanings].filter(([, keys]) => keys.size > 1)).toEqual([]);
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
    expect(words.position('legs-free')?.name).toBe('legs free, no guard');
  });

  test('when actions are read, aims and families should be there', () => {
    for (const a of words.of('action')) {
      expect(ACTION_KINDS).toContain(a.does);
      expect(a.aims.length).toBeGreaterThan(0);
      for (const f of a.from) expect(FAMILIES).toContain(f);
      for (const aim of a.aims) {
        if ('submission' in aim) expect(words.submission(aim.submission)).toBeDefined();
        else if ('position' in aim) expect(words.hasRole(aim.position, aim.role)).toBe(true);
        else expect(words.of('position').some((p) => p.family === aim.family && p.roles.includes(aim.role))).toBe(true);
      }
    }
  });
});

describe("an academy's own changes", () => {
  test('when a word is renamed and gets aliases, its key should stay and the shipped name become an alias', () => {
    const own = withChanges(SHIPPED_WORDS, [
      { kind: 'action', key: 'knee-through', name: 'the Thursday pass', aliases: ['kt'] },
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
    const own = withChanges(renewed, [{ kind: 'position', key: 'mount', aliases: ['on the chest'] }]);
    expect(own.position('mount')).toMatchObject({ height: 3.7, name: 'full mount' });
  });

  test('when a word is hidden, it should not be offered, and its key still read as something', () => {
    const own = withChanges(SHIPPED_WORDS, [{ kind: 'submission', key: 'heel-twist', hidden: true }]);
    expect(own.submission('heel-twist')).toBeUndefined();
    expect(own.name('submission', 'heel-twist')).toBe('heel-twist');
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
