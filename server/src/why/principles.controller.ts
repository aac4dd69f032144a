import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  newPrinciple,
  removal,
  principleEdit,
  type Changed,
  type NewPrinciple,
  type Removal,
  type PrincipleEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

@Controller('principles')
export class PrinciplesController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Keeps a principle: what must or may be')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newPrinciple) body: NewPrinciple): Promise<Changed> {
    return this.why.createPrinciple(session, body);
  }

  @Says('Changes a principle')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(principleEdit) body: PrincipleEdit,
  ): Promise<Changed> {
    return this.why.editPrinciple(session, id, body);
  }

  @Says('Takes a principle away')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.why.remove(session, 'principle', id, body);
  }
}
