import { Body, Controller, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import { signIn, type Me } from '@odograph/core/contract';
import type { Request, Response } from 'express';
import { CONFIG, type Config } from '../config/config.js';
import { checked } from '../errors/checked.js';
import { AccountsService, SESSION_DAYS } from './accounts.service.js';
import { CurrentSession, Public, SESSION_COOKIE } from './session.guard.js';
import type { Session } from './session.js';

@Controller()
export class AccountsController {
  constructor(
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Public()
  @Post('sign-in')
  @HttpCode(200)
  async signIn(
    @Body() body: unknown,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const { token, session } = await this.accounts.signIn(checked(signIn, body), request.ip ?? '');
    response.cookie(SESSION_COOKIE, token, {
      httpOnly: true,
      secure: this.config.publicUrl?.protocol === 'https:',
      sameSite: 'strict',
      path: '/',
      maxAge: SESSION_DAYS * 86_400_000,
    });
    return this.accounts.me(session);
  }

  @Post('sign-out')
  @HttpCode(204)
  async signOut(@CurrentSession() session: Session, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.accounts.signOut(session);
    response.clearCookie(SESSION_COOKIE, { path: '/' });
  }

  @Get('me')
  me(@CurrentSession() session: Session): Promise<Me> {
    return this.accounts.me(session);
  }
}
