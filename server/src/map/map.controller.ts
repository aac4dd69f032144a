import { Controller, Get, Inject, Query, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import Joi from 'joi';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { MapService } from './map.service.js';

const sinceVersion = Joi.number()
  .integer()
  .min(0)
  .max(2 ** 31)
  .label('since');

@Controller()
export class MapController {
  constructor(@Inject(MapService) private readonly map: MapService) {}

  /** The library's version is the tag: whoever has it is told so, and `since` one gives only what has changed. */
  @Says('The attempts as packed rows, for counting; with ?since=VERSION only what has changed')
  @Get('map/rows')
  async rows(
    @CurrentSession() session: Session,
    @Query('since') since: unknown,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const from = since === undefined ? null : checked<number>(sinceVersion, since);
    const tag = (version: number): string => `"${session.academyId}-${session.role}-${version}"`;
    response.setHeader('Cache-Control', 'private, no-cache');
    response.setHeader('Vary', 'Cookie');
    const current = await this.map.version(session);
    if (request.headers['if-none-match'] === tag(current) || from === current) {
      response.setHeader('ETag', tag(current));
      response.status(304).end();
      return;
    }
    const { version, bytes } = await this.map.rows(session, from);
    response.setHeader('ETag', tag(version));
    response.setHeader('Content-Type', 'application/octet-stream');
    response.setHeader('Content-Encoding', 'gzip');
    response.end(bytes);
  }

  @Says('The map as GraphML')
  @Roles('head', 'coach')
  @Get('export/map.graphml')
  exportMap(@CurrentSession() session: Session, @Res() response: Response): Promise<void> {
    response.attachment('odograph-map.graphml').type('application/xml; charset=utf-8');
    return this.map.graphml(session, response);
  }
}
