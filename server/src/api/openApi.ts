import 'reflect-metadata';
import { RequestMethod, type Type } from '@nestjs/common';
import joiToSwagger from 'joi-to-swagger';
import type { Schema } from 'joi';
import { isPublic, rolesOf } from '../doors/doors.js';
import { bodyOf, summaryOf } from './describe.js';

type Operation = {
  readonly summary: string;
  readonly tags: readonly string[];
  readonly security: readonly Record<string, readonly string[]>[];
  readonly parameters: readonly object[];
  readonly requestBody?: object;
  readonly responses: Record<string, object>;
};
export type OpenApi = {
  readonly openapi: '3.0.3';
  readonly info: { readonly title: string; readonly version: string; readonly description: string };
  readonly paths: Record<string, Record<string, Operation>>;
  readonly components: object;
};

const ERROR = { $ref: '#/components/schemas/Error' };
const errors = (codes: Record<string, string>): Record<string, object> =>
  Object.fromEntries(
    Object.entries(codes).map(([code, description]) => [
      code,
      { description, content: { 'application/json': { schema: ERROR } } },
    ]),
  );

type Convert = (schema: Schema) => { readonly swagger: object };
/** The types of the package name its namespace; what it exports is the function, which carries itself as `default`. */
const convert = ((joiToSwagger as { readonly default?: unknown }).default ?? joiToSwagger) as Convert;
const toSchema = (schema: Schema): object => convert(schema).swagger;

const operation = (controller: Type, method: string, path: string, verb: string): Operation => {
  const target = controller.prototype as object;
  const isOpen = isPublic(target, method);
  const roles = rolesOf(target, method, verb.toUpperCase());
  const body = bodyOf(target, method);
  const parameters = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  return {
    summary: `${summaryOf(target, method) ?? method}${isOpen || roles.includes('student') ? '' : ` (${roles.join(', ')})`}`,
    tags: [path.split('/')[2]!],
    security: isOpen ? [] : [{ session: [] }],
    parameters,
    ...(body && {
      requestBody: {
        required: true,
        content: {
          'application/json': {
            schema: toSchema(body),
          },
        },
      },
    }),
    responses: {
      '200': { description: 'Done; the answer says what is there now.' },
      ...errors({
        ...(body && { '400': 'A field is wrong; each is named.' }),
        ...(!isOpen && { '401': 'Nobody is signed in.' }),
        ...(roles.length < 3 && { '403': 'Not with this role.' }),
        ...(parameters.length && { '404': 'There is no such thing in this academy.' }),
        ...(body && { '409': 'Changed by somebody else meanwhile, or an id that is in use.' }),
      }),
    },
  };
};

/** The description of all routes, made from the controllers and from the schemas that check what comes in. */
export const describeApi = (controllers: readonly Type[], version: string): OpenApi => {
  const paths: Record<string, Record<string, Operation>> = {};
  for (const controller of controllers) {
    const prefix = Reflect.getMetadata('path', controller) as string;
    const methods = Object.getOwnPropertyNames(controller.prototype as object).filter((m) => m !== 'constructor');
    for (const method of methods) {
      const handler = (controller.prototype as Record<string, object>)[method]!;
      const own = Reflect.getMetadata('path', handler) as string | undefined;
      if (own === undefined) continue;
      const path = ['/api', prefix, own]
        .map((part) => part.replace(/^\/|\/$/g, ''))
        .filter(Boolean)
        .join('/')
        .replace(/:(\w+)/g, '{$1}');
      const verb = RequestMethod[Reflect.getMetadata('method', handler) as number]!.toLowerCase();
      (paths[`/${path}`] ??= {})[verb] = operation(controller, method, `/${path}`, verb);
    }
  }
  return {
    openapi: '3.0.3',
    info: {
      title: 'Odograph',
      version,
      description:
        'Everything that writes carries an id made by the client (`editId`): sent twice, it is done once. `baseVersion` is the version that was seen; where the same fields were changed since, the answer is 409 with both values.',
    },
    paths: Object.fromEntries(Object.entries(paths).sort(([a], [b]) => (a < b ? -1 : 1))),
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'odograph_session' } },
      schemas: {
        Error: {
          type: 'object',
          required: ['code', 'facts', 'message'],
          properties: { code: { type: 'string' }, facts: { type: 'object' }, message: { type: 'string' } },
        },
      },
    },
  };
};
