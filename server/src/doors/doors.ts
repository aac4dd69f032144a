import 'reflect-metadata';
import { SetMetadata, createParamDecorator, type CustomDecorator, type ExecutionContext } from '@nestjs/common';
import { ROLES, type MemberRole } from '@odograph/core/contract';
import type { Session, SignedRequest, Who } from './session.js';

const PUBLIC = 'public';
const ALLOWED = 'roles';

/** Routes that anybody may ask. */
export const Public = (): CustomDecorator => SetMetadata(PUBLIC, true);

/** Who may ask a route. Without it, everybody looks, heads and coaches write. */
export const Roles = (...roles: readonly MemberRole[]): CustomDecorator => SetMetadata(ALLOWED, roles);

const handlerOf = (target: object, method: string): object => (target as Record<string, object>)[method]!;
export const isOpen = (handler: object): boolean => Reflect.getMetadata(PUBLIC, handler) === true;
export const isPublic = (target: object, method: string): boolean => isOpen(handlerOf(target, method));

const WRITERS: readonly MemberRole[] = ['head', 'coach'];
/** Who may pass a handler with a verb. */
export const allowed = (handler: object, verb: string): readonly MemberRole[] =>
  (Reflect.getMetadata(ALLOWED, handler) as readonly MemberRole[] | undefined) ??
  (['GET', 'HEAD'].includes(verb) ? ROLES : WRITERS);
export const rolesOf = (target: object, method: string, verb: string): readonly MemberRole[] =>
  allowed(handlerOf(target, method), verb);

/** The session of the request, checked by the guard. */
export const CurrentSession = createParamDecorator(
  (_: unknown, context: ExecutionContext): Session => context.switchToHttp().getRequest<SignedRequest>().who.session,
);
/** The session with whose it is. */
export const CurrentWho = createParamDecorator(
  (_: unknown, context: ExecutionContext): Who => context.switchToHttp().getRequest<SignedRequest>().who,
);
