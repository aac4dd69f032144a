import { Controller, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { idParam, type DiskUse } from '@odograph/core/contract';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { DiskService } from './disk.service.js';

@Controller()
export class DiskController {
  constructor(@Inject(DiskService) private readonly disk: DiskService) {}

  @Says('What media take on the disk, by file, and what is free')
  @Roles('head', 'coach')
  @Get('disk')
  use(@CurrentSession() { academyId }: Session): Promise<DiskUse> {
    return this.disk.use(academyId);
  }

  @Says('Deletes what was made of a file for stepping; it can be made again')
  @Post('files/:id/thin')
  @HttpCode(204)
  thin(@CurrentSession() { academyId }: Session, @Param('id') id: string): Promise<void> {
    return this.disk.thin(academyId, checked<string>(idParam.label('id'), id));
  }

  @Says('Makes a file ready for stepping again that was thinned')
  @Roles('head', 'coach', 'student')
  @Post('files/:id/prepare')
  @HttpCode(204)
  prepare(@CurrentSession() session: Session, @Param('id') id: string): Promise<void> {
    return this.disk.prepare(session, checked<string>(idParam.label('id'), id));
  }
}
