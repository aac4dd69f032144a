import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  newDrawing,
  removal,
  drawingEdit,
  type Changed,
  type NewDrawing,
  type Removal,
  type DrawingEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

@Controller('drawings')
export class DrawingsController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Keeps a drawing on frames of a camera')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newDrawing) body: NewDrawing): Promise<Changed> {
    return this.why.createDrawing(session, body);
  }

  @Says('Changes a drawing')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(drawingEdit) body: DrawingEdit,
  ): Promise<Changed> {
    return this.why.editDrawing(session, id, body);
  }

  @Says('Takes a drawing away')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.why.remove(session, 'drawing', id, body);
  }
}
