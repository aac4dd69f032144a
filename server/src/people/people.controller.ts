import { Controller, Delete, Get, HttpCode, Inject, Param, Patch, Post, Req, Res } from '@nestjs/common';
import {
  acceptance,
  newInvitation,
  newPerson,
  personEdit,
  removal,
  roleChange,
  tokenOnly,
  type Acceptance,
  type Changed,
  type InvitationLook,
  type Me,
  type NewInvitation,
  type NewPerson,
  type People,
  type PersonEdit,
  type Removal,
  type RoleChange,
  type TokenOnly,
} from '@odograph/core/contract';
import type { Request, Response } from 'express';
import { CurrentSession, Public, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { callerOf, setSessionCookie } from '../accounts/sessionCookie.js';
import { CheckedBody, Says } from '../api/describe.js';
import { CONFIG, type Config } from '../config/config.js';
import { PeopleService } from './people.service.js';

@Controller()
export class PeopleController {
  constructor(
    @Inject(PeopleService) private readonly people: PeopleService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Roles('head', 'coach')
  @Says('Members with their roles, and invitations that are out')
  @Get('people')
  all(@CurrentSession() session: Session): Promise<People> {
    return this.people.all(session);
  }

  @Roles('head')
  @Says('Invites somebody by mail')
  @Post('invitations')
  @HttpCode(200)
  invite(@CurrentSession() session: Session, @CheckedBody(newInvitation) body: NewInvitation): Promise<People> {
    return this.people.invite(session, body);
  }

  @Roles('head')
  @Says('Takes an invitation back')
  @Delete('invitations/:id')
  withdraw(@CurrentSession() session: Session, @Param('id') id: string): Promise<People> {
    return this.people.withdraw(session, id);
  }

  @Public()
  @Says('What an invitation is for')
  @Post('invitation')
  @HttpCode(200)
  look(@CheckedBody(tokenOnly) body: TokenOnly, @Req() request: Request): Promise<InvitationLook> {
    return this.people.look(body.token, callerOf(request));
  }

  @Public()
  @Says('Takes an invitation and signs in')
  @Post('invitation/accept')
  @HttpCode(200)
  async accept(
    @CheckedBody(acceptance) body: Acceptance,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const { token, who } = await this.people.accept(body, callerOf(request));
    setSessionCookie(response, token, this.config);
    return who.me;
  }

  @Roles('head')
  @Says('Changes the role of a member')
  @Patch('members/:accountId')
  changeRole(
    @CurrentSession() session: Session,
    @Param('accountId') accountId: string,
    @CheckedBody(roleChange) body: RoleChange,
  ): Promise<People> {
    return this.people.changeRole(session, accountId, body.role);
  }

  @Roles('head')
  @Says('Removes a member; what they have logged stays')
  @Delete('members/:accountId')
  @HttpCode(204)
  removeMember(@CurrentSession() session: Session, @Param('accountId') accountId: string): Promise<void> {
    return this.people.removeMember(session, accountId);
  }

  @Roles('head', 'coach', 'student')
  @Says('Leaves the academy')
  @Delete('me/membership')
  @HttpCode(204)
  leave(@CurrentSession() session: Session): Promise<void> {
    return this.people.removeMember(session, session.accountId);
  }

  @Says('A new person: an athlete, a member of the room, or both')
  @Post('persons')
  @HttpCode(200)
  newPerson(@CurrentSession() session: Session, @CheckedBody(newPerson) body: NewPerson): Promise<Changed> {
    return this.people.newPerson(session, body);
  }

  @Says('Changes what is known of a person')
  @Patch('persons/:id')
  editPerson(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(personEdit) body: PersonEdit,
  ): Promise<Changed> {
    return this.people.editPerson(session, id, body);
  }

  @Says('Puts a person in the bin, if no footage shows them')
  @Delete('persons/:id')
  removePerson(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.people.removePerson(session, id, body);
  }
}
