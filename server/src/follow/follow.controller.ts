import { Controller, Get, HttpCode, Inject, Post, Query, Req, Res } from '@nestjs/common';
import { leadSaid, wheel, type LeadSaid, type Wheel } from '@odograph/core/contract';
import type { Response } from 'express';
import Joi from 'joi';
import { CheckedBody, Says } from '../api/describe.js';
import { CurrentSession } from '../doors/doors.js';
import type { Session, SignedRequest } from '../doors/session.js';
import { checked } from '../errors/checked.js';
import { FollowService } from './follow.service.js';

const windowId = Joi.string().guid({ version: 'uuidv7' }).required().label('client');

/** A stream lasts so long, and is asked for again: whose session is over is not let in again. */
const LASTS_MS = 60_000;
/** So long a browser waits before it asks again, in ms. */
const AGAIN_MS = 50;

@Controller('follow')
export class FollowController {
  constructor(@Inject(FollowService) private readonly follow: FollowService) {}

  @Says('A stream of server-sent events: who leads, what they see, who asks for the wheel')
  @Get('stream')
  stream(
    @CurrentSession() session: Session,
    @Query('client') client: unknown,
    @Req() request: SignedRequest,
    @Res() response: Response,
  ): void {
    const clientId = checked<string>(windowId, client);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
      Connection: 'close',
    });
    response.write(`retry: ${AGAIN_MS}\n\n`);
    const end = (): void => void response.end();
    const stop = this.follow.listen(session, {
      ...{ clientId, name: request.who.me.account.name, end },
      tell: (now) => void response.write(`data: ${JSON.stringify(now)}\n\n`),
    });
    const over = setTimeout(end, LASTS_MS);
    const leave = (): void => {
      clearTimeout(over);
      stop();
    };
    request.on('close', leave);
    response.on('close', leave);
  }

  @Says('What whoever leads sees now')
  @Post('view')
  @HttpCode(204)
  say(@CurrentSession() session: Session, @CheckedBody(leadSaid) body: LeadSaid): void {
    this.follow.say(session, body);
  }

  @Says('Takes the wheel, asks for it, gives it to somebody who asked, or lets it go')
  @Post('wheel')
  @HttpCode(204)
  wheel(@CurrentSession() session: Session, @CheckedBody(wheel) body: Wheel, @Req() request: SignedRequest): void {
    this.follow.wheel(session, body, request.who.me.account.name);
  }
}
