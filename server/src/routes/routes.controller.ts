import { Controller, Delete, Get, Header, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  newRoute,
  removal,
  routeEdit,
  type Changed,
  type NewRoute,
  type Removal,
  type RouteEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { RoutesService } from './routes.service.js';

@Controller('routes')
export class RoutesController {
  constructor(@Inject(RoutesService) private readonly routes: RoutesService) {}

  @Says('Keeps a route')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newRoute) body: NewRoute): Promise<Changed> {
    return this.routes.create(session, body);
  }

  @Says('Changes name or steps of a route')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(routeEdit) body: RouteEdit,
  ): Promise<Changed> {
    return this.routes.edit(session, id, body);
  }

  @Says('Puts a route in the bin')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.routes.remove(session, id, body);
  }

  @Says('What is said at each step, as WebVTT over the clips one after the other')
  @Get(':id/cues.vtt')
  @Header('Content-Type', 'text/vtt; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="route.vtt"')
  vtt(@CurrentSession() session: Session, @Param('id') id: string): Promise<string> {
    return this.routes.vtt(session, id);
  }
}
