import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { allowed, isOpen } from '../doors/doors.js';
import type { SignedRequest } from '../doors/session.js';
import { Refused } from '../errors/refused.js';
import { AccountsRepository } from './accounts.repository.js';
import { sessionTokenOf } from './sessionCookie.js';

/** Every route needs a session unless it says otherwise, and a role that may ask it. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(@Inject(AccountsRepository) private readonly accounts: AccountsRepository) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const handler = context.getHandler();
    if (isOpen(handler)) return true;
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
