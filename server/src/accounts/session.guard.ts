import 'reflect-metadata';
import {
  Inject,
  Injectable,
  SetMetadata,
  createParamDecorator,
  type CanActivate,
  type CustomDecorator,
  type ExecutionContext,
} from '@nestjs/common';
import { ROLES, type MemberRole } from '@odograph/core/contract';
import { Refused } from '../errors/refused.js';
import { AccountsRepository } from './accounts.repository.js';
import type { Session, SignedRequest, Who } from './session.js';
import { sessionTokenOf } from './sessionCookie.js';

const PUBLIC = 'public';
const ALLOWED = 'roles';

/** Routes that anybody may ask. */
export const Public = (): CustomDecorator => SetMetadata(PUBLIC, true);

/** Who may ask a route. Without it, everybody looks, heads and coaches write. */
export const Roles = (...roles: readonly MemberRole[]): CustomDecorator => SetMetadata(ALLOWED, roles);

const handlerOf = (target: object, method: string): object => (target as Record<string, object>)[method]!;
export const isPublic = (target: object, method: string): boolean =>
  Reflect.getMetadata(PUBLIC, handlerOf(target, method)) === true;

const WRITERS: readonly MemberRole[] = ['head', 'coach'];
const allowed = (handler: object, verb: string): readonly MemberRole[] =>
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

/** Every route needs a session unless it says otherwise, and a role that may ask it. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(@Inject(AccountsRepository) private readonly accounts: AccountsRepository) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const handler = context.getHandler();
    if (Reflect.getMetadata(PUBLIC, handler) === true) return true;
    const request = context.switchToHttp().getRequest<SignedRequest>();
    const token = sessionTokenOf(request);
    const who = token === undefined ? undefined : await this.accounts.who(token, new Date());
    if (!who) throw new Refused({ code: 'signed-out', facts: {} });
    const { role } = who.session;
    if (!allowed(handler, request.method).includes(role)) throw new Refused({ code: 'not-allowed', facts: { role } });
    request.who = who;
    return true;
  }
}
