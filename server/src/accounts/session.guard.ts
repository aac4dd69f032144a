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
import { parse } from 'cookie';
import { Refused } from '../errors/refused.js';
import { AccountsRepository } from './accounts.repository.js';
import type { Session, SignedRequest } from './session.js';

export const SESSION_COOKIE = 'odograph_session';
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
  (_: unknown, context: ExecutionContext): Session => context.switchToHttp().getRequest<SignedRequest>().session,
);

/** Every route needs a session unless it says otherwise, and a role that may ask it. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(@Inject(AccountsRepository) private readonly accounts: AccountsRepository) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const handler = context.getHandler();
    if (Reflect.getMetadata(PUBLIC, handler) === true) return true;
    const request = context.switchToHttp().getRequest<SignedRequest>();
    const token = parse(request.headers.cookie ?? '')[SESSION_COOKIE];
    const session = token === undefined ? undefined : await this.accounts.session(token, new Date());
    if (!session) throw new Refused({ code: 'signed-out', facts: {} });
    if (!allowed(handler, request.method).includes(session.role))
      throw new Refused({ code: 'not-allowed', facts: { role: session.role } });
    request.session = session;
    return true;
  }
}
