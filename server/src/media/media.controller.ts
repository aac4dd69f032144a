import { stat } from 'node:fs/promises';
import { basename, dirname } from 'node:path';
import { Controller, Get, Inject, Param, Patch, Put, Query, Req, Res } from '@nestjs/common';
import type { MediaFile } from '@odograph/core';
import {
  captionsFile,
  fileName,
  idParam,
  trackChoice,
  type Captions,
  type CaptionsFile,
  type Changed,
  type Prepared,
  type TrackChoice,
} from '@odograph/core/contract';
import type { Request, Response } from 'express';
import Joi from 'joi';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { notFound } from '../errors/refused.js';
import { MediaService } from './media.service.js';
import { MediaStore, type MadeName } from './mediaStore.js';

const frameNumber = Joi.number().integer().min(0).max(100_000_000).required().label('frame');
/** A browser may keep media, and asks each time whether it may still show them: whoever is on them may have changed their mind. */
const KEEP = 'private, no-cache';

const TYPES: Readonly<Record<MadeName, string>> = {
  times: 'application/octet-stream',
  'proxy.mp4': 'video/mp4',
  keys: 'application/octet-stream',
  'proxy.times': 'application/octet-stream',
  'part.mp4': 'video/mp4',
  'part.times': 'application/octet-stream',
  'strip.jpg': 'image/jpeg',
  'look.json': 'application/json',
  sound: 'application/octet-stream',
  'captions.json': 'application/json',
};

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
    return this.media.takeIn(
      session,
      checked(idParam.label('id'), id),
      checked(fileName, name),
      request,
      Number(request.headers['content-length'] ?? 0),
    );
  }

  @Says('The file as it came in')
  @Get(':id/media')
  async play(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    const file = await this.media.requireFor(session, id);
    response.type(file.mime);
    await this.send(response, this.store.original(session.academyId, id));
  }

  @Says('Presentation times of all frames, packed')
  @Get(':id/times')
  times(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'times', response);
  }

  @Says('What has been made of the file so far')
  @Get(':id/prepared')
  async prepared(@CurrentSession() session: Session, @Param('id') id: string): Promise<Prepared> {
    await this.media.requireFor(session, id);
    return this.media.prepared(session.academyId, id);
  }

  @Says('The file made for stepping: as many frames, a key frame every fifteen')
  @Get(':id/proxy')
  proxy(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'proxy.mp4', response);
  }

  @Says('Presentation times of the frames of the file made for stepping, packed')
  @Get(':id/proxy/times')
  proxyTimes(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'proxy.times', response);
  }

  /** `frames` in the address tells one part from the next, which is longer. */
  @Says('As much of the file for stepping as there is while it is made')
  @Get(':id/part')
  part(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'part.mp4', response);
  }

  @Says('Presentation times of the frames of that part, packed')
  @Get(':id/part/times')
  partTimes(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'part.times', response);
  }

  @Says('Chooses which sound track of the file is heard')
  @Patch(':id')
  chooseTrack(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(trackChoice) body: TrackChoice,
  ): Promise<Changed> {
    return this.media.chooseTrack(session, checked<string>(idParam.label('id'), id), body);
  }

  @Says('Small pictures of the whole file in one, for pointing')
  @Get(':id/strip')
  strip(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'strip.jpg', response);
  }

  @Says('How much moves, cuts, black and frozen stretches, and how the strip is laid out')
  @Get(':id/look')
  look(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'look.json', response);
  }

  @Says('How loud the file is, a hundred values a second')
  @Get(':id/sound')
  sound(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    return this.sendMade(session, id, 'sound', response);
  }

  @Says('The captions that were given to the file')
  @Get(':id/captions')
  async captions(@CurrentSession() session: Session, @Param('id') id: string): Promise<Captions> {
    await this.media.requireFor(session, id);
    return this.media.captions(session.academyId, id);
  }

  @Says('Gives captions to a file, in place of those it has: the text of a WebVTT or SubRip file')
  @Put(':id/captions')
  async giveCaptions(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(captionsFile) { text }: CaptionsFile,
  ): Promise<Captions> {
    await this.media.require(session.academyId, checked(idParam.label('id'), id));
    return this.media.giveCaptions(session.academyId, id, text);
  }

  @Says('One frame as a picture')
  @Get(':id/stills/:frame')
  async still(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @Param('frame') frame: string,
    @Res() response: Response,
  ): Promise<void> {
    const file = await this.media.requireFor(session, id);
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    const path = await this.media.still(
      session.academyId,
      file,
      checked<number>(frameNumber, frame.replace(/\.jpg$/, '')),
      gone.signal,
    );
    if (path !== undefined) await this.send(response, path);
  }

  /** What was made of a file; nothing is there while it has not been. */
  private async sendMade(session: Session, id: string, name: MadeName, response: Response): Promise<void> {
    await this.media.requireFor(session, id);
    if (!(await this.store.isMade(session.academyId, id, name))) throw notFound();
    await this.send(response, this.store.made(session.academyId, id, name), TYPES[name]);
  }

  private async send(response: Response, path: string, type?: string): Promise<void> {
    const { size, mtimeMs } = await stat(path);
    // by its bytes: what is made anew under the same name is another one
    const ETag = `"${size.toString(36)}-${Math.round(mtimeMs * 1000).toString(36)}"`;
    return new Promise((resolve, reject) => {
      response.sendFile(
        basename(path),
        {
          root: dirname(path),
          cacheControl: false,
          headers: { 'Cache-Control': KEEP, ETag, Vary: 'Cookie', ...(type ? { 'Content-Type': type } : {}) },
        },
        (error) => {
          // whoever asked has gone (a seek, a closed page): nobody is left to be told
          const isGone = (error as NodeJS.ErrnoException | undefined)?.code === 'ECONNABORTED';
          if ((error as { status?: number } | undefined)?.status === 416 && !response.headersSent) {
            // a part behind the end: how long it is, and nothing else
            for (const name of ['Content-Type', 'Content-Disposition', 'ETag', 'Last-Modified'])
              response.removeHeader(name);
            response.status(416).setHeader('Content-Range', `bytes */${size}`).end();
            resolve();
            return;
          }
          if (error && !isGone && !response.headersSent) reject(error);
          else resolve();
        },
      );
    });
  }
}
