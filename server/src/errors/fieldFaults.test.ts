import { describe, expect, test } from '@jest/globals';
import { libraryFile, newAcademy } from '@odograph/core/contract';
import Joi from 'joi';
import { checked } from './checked.js';
import type { Refused } from './refused.js';

const faultsOf = (schema: Joi.Schema, input: unknown): unknown => {
  try {
    checked(schema, input);
    return undefined;
  } catch (refused) {
    return (refused as Refused).refusal.facts;
  }
};
const frame = (): Joi.NumberSchema => Joi.number().integer().min(0);
const key = (): Joi.StringSchema => Joi.string().pattern(/^[a-z-]+$/);
const of = (fields: Joi.SchemaMap): Joi.Schema => Joi.object(fields);

describe('what is wrong with a field', () => {
  test.each<[string, Joi.Schema, unknown, object]>([
    ['nothing', of({ a: Joi.string().guid().required() }), {}, { code: 'missing' }],
    ['empty text', of({ a: key() }), { a: '' }, { code: 'missing' }],
    ['a number for text', of({ a: key() }), { a: 4 }, { code: 'wrong-kind', facts: { wanted: 'text' } }],
    ['text for a frame', of({ a: frame() }), { a: 'x' }, { code: 'wrong-kind', facts: { wanted: 'number' } }],
    ['half a frame', of({ a: frame() }), { a: 1.5 }, { code: 'wrong-kind', facts: { wanted: 'whole number' } }],
    ['a frame before the first', of({ a: frame() }), { a: -1 }, { code: 'too-small', facts: { least: 0 } }],
    [
      'a note too long',
      of({ a: Joi.string().max(3) }),
      { a: 'four' },
      { code: 'too-many', facts: { most: 3, of: 'characters' } },
    ],
    ['no id', of({ a: Joi.string().guid().required() }), { a: 'x' }, { code: 'wrong-kind', facts: { wanted: 'id' } }],
    ['a key in capitals', of({ a: key() }), { a: 'Mount' }, { code: 'wrong-form' }],
    ['no day', of({ a: Joi.string().pattern(/^\d{4}-\d\d-\d\d$/, 'day') }), { a: 'May' }, { code: 'no-day' }],
    [
      'a word not among them',
      of({ a: Joi.valid('x', 'y') }),
      { a: 'z' },
      { code: 'not-one-of', facts: { all: ['x', 'y'] } },
    ],
    [
      'an end before the beginning',
      of({ from: frame(), a: Joi.number().greater(Joi.ref('from')) }),
      { from: 9, a: 3 },
      { code: 'not-after', facts: { field: 'from' } },
    ],
    ['one twice', of({ a: Joi.array().unique() }), { a: [1, 1] }, { code: 'twice' }],
  ])('when a field has %s, it should be said by a code with its facts', (_, schema, input, fault) => {
    const { fields } = faultsOf(schema, input) as { fields: { field: string; fault: object }[] };
    const [path] = fields;
    expect(path!.field.startsWith('a')).toBe(true);
    expect(path!.fault).toEqual(fault);
  });

  test('when a field is not asked for, it should be named', () => {
    expect(faultsOf(of({}), { b: 1 })).toEqual({ fields: [{ field: 'b', fault: { code: 'unknown-field' } }] });
  });

  test('when several are wrong, each should be told', () => {
    const asked = { timeZone: 'Atlantis/North', email: 'nobody' };
    const { fields } = faultsOf(newAcademy, asked) as { fields: { field: string }[] };
    expect(fields).toEqual(
      expect.arrayContaining([
        { field: 'timeZone', fault: { code: 'no-time-zone' } },
        { field: 'email', fault: { code: 'no-email' } },
        { field: 'name', fault: { code: 'missing' } },
      ]),
    );
    expect(faultsOf(libraryFile, [])).toMatchObject({ fields: [{ fault: { code: 'wrong-kind' } }] });
  });
});
