import { describe, expect, test } from '@jest/globals';
import { BARE_REACTION, KEPT, ROLES, type Entity, type Parts, type Told } from '@odograph/core';
import fc from 'fast-check';
import { COLUMNS, columnsOfField, fromRow, toRow, type Row } from './columns.js';

const anyOf = (parts: Parts): fc.Arbitrary<Record<string, unknown>> =>
  fc.record(Object.fromEntries(Object.entries(parts).map(([part, { told }]) => [part, anyValue(told)])), {
    requiredKeys: Object.keys(parts).filter((part) => !parts[part]!.isOptional),
  });
const anyBare = (told: Told): fc.Arbitrary<unknown> => {
  switch (told.is) {
    case 'flag':
      return fc.boolean();
    case 'number':
      return told.isWhole ? fc.maxSafeNat() : fc.double({ noNaN: true, noDefaultInfinity: true }).map((x) => x + 0);
    case 'choice':
      return fc.constantFrom(...told.values);
    case 'role':
      return fc.constantFrom(...ROLES);
    case 'instant':
      return fc.record({ frame: fc.nat(), pts: fc.maxSafeNat() });
    case 'list':
      return fc.array(anyValue(told.item), { maxLength: 3 });
    case 'object':
      return anyOf(told.fields);
    case 'union':
      return fc.oneof(
        ...Object.entries(told.branches).map(([kind, parts]) => anyOf(parts).map((value) => ({ kind, ...value }))),
      );
    default:
      return fc.string();
  }
};
const anyValue = (told: Told): fc.Arbitrary<unknown> =>
  told.isNullable ? fc.option(anyBare(told), { freq: 3 }) : anyBare(told);
const ENTITIES = Object.keys(KEPT) as Entity[];

describe('columns', () => {
  test.each(ENTITIES)('when any %s is written and read, it should be what it was, also from plain rows', (entity) => {
    const row = anyOf(KEPT[entity]);
    fc.assert(
      fc.property(row, (values) => {
        const columns = toRow(entity, values as never);
        expect(Object.keys(columns).sort()).toEqual(Object.keys(COLUMNS[entity]).sort());
        const version = entity === 'file' ? {} : { version: 3 };
        const read = (from: Row): unknown => fromRow(entity, { id: 'x', version: 3, ...from });
        expect(read(columns)).toEqual({ id: 'x', ...version, ...values });
        // as MariaDB gives flags
        const plain = Object.entries(columns).map(([name, value]) => [
          name,
          typeof value === 'boolean' ? Number(value) : value,
        ]);
        expect(read(Object.fromEntries(plain) as Row)).toEqual({ id: 'x', ...version, ...values });
      }),
      { numRuns: 60 },
    );
  });

  test('when items of a list were written before a part of them was there, nobody should have said it', () => {
    const reactions = [{ id: 'r', what: 'frames', isAction: false, deciding: true }];
    const row = toRow('attempt', { reactions: reactions as never });
    expect(fromRow('attempt', { id: 'x', version: 1, ...row }).reactions).toEqual([
      { ...BARE_REACTION, ...reactions[0] },
    ]);
  });

  test('when a field has parts, its columns should be named by both, and what is not given should not be written', () => {
    expect(columnsOfField('attempt', 'state')).toEqual(['statePosition', 'stateRole']);
    expect(columnsOfField('attempt', 'commit')).toEqual(['commitFrame', 'commitPts']);
    expect(columnsOfField('attempt', 'controls')).toEqual(['controls']);
    expect(toRow('attempt', { commit: null, depth: 2 })).toEqual({ commitFrame: null, commitPts: null, depth: 2 });
    const ended = { kind: 'submission', submission: 'armlock', won: false } as const;
    expect(toRow('attempt', { finish: ended })).toEqual({
      ...{ finishKind: 'submission', finishSubmission: 'armlock', finishWon: false, finishPosition: null },
      ...{ finishRole: null, finishHow: null, finishRestartPosition: null, finishRestartRole: null },
    });
  });
});
