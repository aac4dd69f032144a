import { basename, dirname } from 'node:path';
import { Controller, Get, Inject, Param, Put, Query, Req, Res } from '@nestjs/common';
import type { MediaFile } from '@odograph/core';
import { fileName, idParam, type TimesAnswer } from '@odograph/core/contract';
import type { Request, Response } from 'express';
import Joi from 'joi';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { MediaService } from './media.service.js';
import { MediaStore } from './mediaStore.js';

const frameNumber = Joi.number().integer().min(0).max(100_000_000).required().label('frame');
/** Media never change under their id: a browser may keep them, for this person and this session only. */
const KEEP = 'private, max-age=31536000, immutable';

@Controller('files')
export class MediaController {
  constructor(
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  /** The file itself is the body of the request. */
  @Says('Takes a file in; the file itself is the body')
  @Put(':id')
  takeIn(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @Query('name') name: unknown,
    @Req() request: Request,
  ): Promise<MediaFile> {
    return this.media.takeIn(session, checked(idParam.label('id'), id), checked(fileName, name), request);
  }

  @Says('The file as it came in')
  @Get(':id/media')
  async play(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    const file = await this.media.requireFor(session, id);
    response.type(file.mime);
    await this.send(response, this.store.original(session.academyId, id));
  }

  @Says('Presentation times of all frames')
  @Get(':id/times')
  async times(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TimesAnswer> {
    await this.media.requireFor(session, id);
    const times = await this.media.times(session.academyId, id);
    response.setHeader('Cache-Control', KEEP);
    response.setHeader('Vary', 'Cookie');
    return times;
  }

  @Says('One frame as a picture')
  @Get(':id/stills/:frame')
  async still(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @Param('frame') frame: string,
    @Res() response: Response,
  ): Promise<void> {
    await this.media.requireFor(session, id);
    const path = await this.media.still(
      session.academyId,
      id,
      checked<number>(frameNumber, frame.replace(/\.jpg$/, '')),
    );
    await this.send(response, path);
  }

  private send(response: Response, path: string): Promise<void> {
    return new Promise((resolve, reject) => {
      response.sendFile(
        basename(path),
        { root: dirname(path), cacheControl: false, headers: { 'Cache-Control': KEEP, Vary: 'Cookie' } },
        (error) => {
          // whoever asked has gone (a seek, a closed page): nobody is left to be told
          const isGone = (error as NodeJS.ErrnoException | undefined)?.code === 'ECONNABORTED';
          if (error && !isGone && !response.headersSent) reject(error);
          else resolve();
        },
      );
    });
  }
}
