import {
  Inject,
  Injectable,
  SetMetadata,
  createParamDecorator,
  type CanActivate,
  type CustomDecorator,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { parse } from 'cookie';
import { Refused } from '../errors/refused.js';
import { AccountsRepository } from './accounts.repository.js';
import type { Session, SignedRequest } from './session.js';

export const SESSION_COOKIE = 'odograph_session';
const PUBLIC = 'public';

/** Routes that anybody may ask. */
export const Public = (): CustomDecorator => SetMetadata(PUBLIC, true);

/** The session of the request, checked by the guard. */
export const CurrentSession = createParamDecorator(
  (_: unknown, context: ExecutionContext): Session => context.switchToHttp().getRequest<SignedRequest>().session,
);

/** Every route needs a session unless it says otherwise; students look, they do not write. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    @Inject(Reflector) private readonly reflector: Reflector,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.getAllAndOverride<boolean>(PUBLIC, [context.getHandler(), context.getClass()])) return true;
    const request = context.switchToHttp().getRequest<SignedRequest>();
    const token = parse(request.headers.cookie ?? '')[SESSION_COOKIE];
    const session = token === undefined ? undefined : await this.accounts.session(token, new Date());
    if (!session) throw new Refused({ code: 'signed-out', facts: {} });
    const writes = !['GET', 'HEAD'].includes(request.method) && !request.path.endsWith('/sign-out');
    if (writes && session.role === 'student') throw new Refused({ code: 'not-allowed', facts: { role: session.role } });
    request.session = session;
    return true;
  }
}
