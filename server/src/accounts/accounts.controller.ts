import { Controller, Delete, Get, HttpCode, Inject, Param, Post, Req, Res } from '@nestjs/common';
import {
  academyChoice,
  foundingWish,
  newAcademy,
  newPassword,
  resetWish,
  signIn,
  type AcademyChoice,
  type FoundingLook,
  type FoundingWish,
  type Me,
  type NewAcademy,
  type NewPassword,
  type ResetWish,
  type SessionLook,
  type SignIn,
} from '@odograph/core/contract';
import type { Request, Response } from 'express';
import { CheckedBody, Says } from '../api/describe.js';
import { CONFIG, type Config } from '../config/config.js';
import { AccountsService, type Opened } from './accounts.service.js';
import { CurrentSession, CurrentWho, Public, Roles } from '../doors/doors.js';
import type { Session, Who } from '../doors/session.js';
import { callerOf, clearSessionCookie, sessionTokenOf, setSessionCookie } from './sessionCookie.js';

@Controller()
export class AccountsController {
  constructor(
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Public()
  @Says('Opens a session; its cookie comes with the answer')
  @Post('sign-in')
  @HttpCode(200)
  async signIn(
    @CheckedBody(signIn) body: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    return this.opened(response, await this.accounts.signIn(body, callerOf(request)));
  }

  @Public()
  @Says('Whether anybody may found an academy here, and for whom an invitation to do so is')
  @Post('founding')
  @HttpCode(200)
  foundingLook(@CheckedBody(foundingWish) body: FoundingWish, @Req() request: Request): Promise<FoundingLook> {
    return this.accounts.foundingLook(body.invitation, callerOf(request));
  }

  @Public()
  @Says('A new academy with its first head, signed in')
  @Post('academies')
  @HttpCode(200)
  async found(
    @CheckedBody(newAcademy) body: NewAcademy,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    return this.opened(response, await this.accounts.found(body, callerOf(request)));
  }

  @Public()
  @Says('Sends a link for a new password, if the mail has an account')
  @Post('password-resets')
  @HttpCode(204)
  async wishReset(@CheckedBody(resetWish) body: ResetWish, @Req() request: Request): Promise<void> {
    await this.accounts.wishReset(body.email, callerOf(request));
  }

  @Public()
  @Says('Sets a new password by a link; every session of the account ends and a new one begins')
  @Post('password')
  @HttpCode(200)
  async setPassword(
    @CheckedBody(newPassword) body: NewPassword,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    return this.opened(response, await this.accounts.setPassword(body, callerOf(request)));
  }

  private opened(response: Response, { token, who }: Opened): Me {
    setSessionCookie(response, token, this.config);
    return who.me;
  }

  @Roles('head', 'coach', 'student')
  @Says('Ends this session')
  @Post('sign-out')
  @HttpCode(204)
  async signOut(@CurrentSession() session: Session, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.accounts.signOut(session);
    clearSessionCookie(response);
  }

  @Says('Who is signed in, where, and with which role')
  @Get('me')
  me(@CurrentWho() { me }: Who): Me {
    return me;
  }

  @Roles('head', 'coach', 'student')
  @Says('Goes over to another academy of this account')
  @Post('me/academy')
  @HttpCode(200)
  goTo(
    @CurrentSession() session: Session,
    @CheckedBody(academyChoice) body: AcademyChoice,
    @Req() request: Request,
  ): Promise<Me> {
    return this.accounts.goTo(session, body.academyId, sessionTokenOf(request)!);
  }

  @Says('The sessions of this account, the one used last first')
  @Get('sessions')
  sessions(@CurrentSession() session: Session): Promise<readonly SessionLook[]> {
    return this.accounts.sessions(session);
  }

  @Roles('head', 'coach', 'student')
  @Says('Ends one session of this account')
  @Delete('sessions/:id')
  endSession(@CurrentSession() session: Session, @Param('id') id: string): Promise<readonly SessionLook[]> {
    return this.accounts.endSession(session, id);
  }

  @Roles('head', 'coach', 'student')
  @Says('Ends every session of this account but the one that asks')
  @Delete('sessions')
  endOthers(@CurrentSession() session: Session): Promise<readonly SessionLook[]> {
    return this.accounts.endOthers(session);
  }
}
