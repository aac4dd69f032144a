import { Controller, Get, Inject, Query, Req, Res } from '@nestjs/common';
import type { News } from '@odograph/core/contract';
import type { Request, Response } from 'express';
import Joi from 'joi';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { NewsService } from './news.service.js';

const sinceVersion = Joi.number()
  .integer()
  .min(0)
  .max(2 ** 31)
  .label('version');

/** A line of nothing so often keeps proxies from closing a quiet stream, in ms. */
const QUIET_MS = 25_000;

@Controller('news')
export class NewsController {
  constructor(@Inject(NewsService) private readonly news: NewsService) {}

  @Says('The version of the library, and with ?version=VERSION what has changed since that one')
  @Get('since')
  since(@CurrentSession() session: Session, @Query('version') version: unknown): Promise<News> {
    return this.news.since(session, version === undefined ? null : checked<number>(sinceVersion, version));
  }

  /** Server-sent events: the version of the library now, and each time it is another one. Not packed, since packing would hold them back. */
  @Says('A stream of server-sent events: the version of the library, each time it changes')
  @Get('stream')
  stream(@CurrentSession() session: Session, @Req() request: Request, @Res() response: Response): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
      // ends with the stream: a server that stops would wait for it otherwise
      Connection: 'close',
    });
    // the page may have been given before the role was another one
    response.write(`event: role\ndata: ${session.role}\n\n`);
    const quiet = setInterval(() => void response.write(':\n\n'), QUIET_MS);
    const stop = this.news.listen(
      session,
      (version) => void response.write(`data: ${version}\n\n`),
      // why it ends is said, so that the page does not just listen again
      (why) => response.end(why === 'stopping' ? undefined : `event: ended\ndata: ${why}\n\n`),
    );
    const leave = (): void => {
      clearInterval(quiet);
      stop();
    };
    request.on('close', leave);
    response.on('close', leave);
  }
}
