import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  collectionEdit,
  newCollection,
  removal,
  type Changed,
  type CollectionEdit,
  type NewCollection,
  type Removal,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

@Controller('collections')
export class CollectionsController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Gathers clips under a name')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newCollection) body: NewCollection): Promise<Changed> {
    return this.why.createCollection(session, body);
  }

  @Says('Names a collection, or says which clips are in it and in which order')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(collectionEdit) body: CollectionEdit,
  ): Promise<Changed> {
    return this.why.editCollection(session, id, body);
  }

  @Says('Takes a collection away; its clips stay')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.why.remove(session, 'collection', id, body);
  }
}
