import 'reflect-metadata';
import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import type { Schema } from 'joi';
import { checked } from '../errors/checked.js';

const BODY = 'odograph:body';
const SAYS = 'odograph:says';

const readBody = createParamDecorator((schema: Schema, context: ExecutionContext): unknown =>
  checked(schema, context.switchToHttp().getRequest<Request>().body),
);

/** The body of a request, checked against its schema; the description of the API is made from the same schema. */
export const CheckedBody =
  (schema: Schema): ParameterDecorator =>
  (target, key, index) => {
    Reflect.defineMetadata(BODY, schema, target, key!);
    readBody(schema)(target, key, index);
  };

/** What a route does, in a sentence of the description. */
export const Says =
  (summary: string): MethodDecorator =>
  (target, key) =>
    Reflect.defineMetadata(SAYS, summary, target, key);

export const bodyOf = (target: object, method: string): Schema | undefined =>
  Reflect.getMetadata(BODY, target, method) as Schema | undefined;
export const summaryOf = (target: object, method: string): string | undefined =>
  Reflect.getMetadata(SAYS, target, method) as string | undefined;
