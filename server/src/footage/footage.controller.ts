import { Body, Controller, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { footageEdit, newFootage, type Changed } from '@odograph/core/contract';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { checked } from '../errors/checked.js';
import { FootageService } from './footage.service.js';

@Controller('footage')
export class FootageController {
  constructor(@Inject(FootageService) private readonly footage: FootageService) {}

  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @Body() body: unknown): Promise<Changed> {
    return this.footage.create(session, checked(newFootage, body));
  }

  @Patch(':id')
  edit(@CurrentSession() session: Session, @Param('id') id: string, @Body() body: unknown): Promise<Changed> {
    return this.footage.edit(session, id, checked(footageEdit, body));
  }
}
