import { Controller, Delete, Inject, Param, Patch } from '@nestjs/common';
import { angleEdit, removal, type AngleEdit, type Changed, type Removal } from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { FootageService } from './footage.service.js';

@Controller('angles')
export class AnglesController {
  constructor(@Inject(FootageService) private readonly footage: FootageService) {}

  @Says('Moves an angle in the time of its footage, or changes which frames of its file it holds')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(angleEdit) body: AngleEdit,
  ): Promise<Changed> {
    return this.footage.editAngle(session, id, body);
  }

  @Says('Takes an angle off its footage, where no clips are cut from it')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.footage.removeAngle(session, id, body);
  }
}
