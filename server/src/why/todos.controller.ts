import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  newTodo,
  removal,
  todoEdit,
  type Changed,
  type NewTodo,
  type Removal,
  type TodoEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

@Controller('todos')
export class TodosController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Puts something on the lists that stay open')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newTodo) body: NewTodo): Promise<Changed> {
    return this.why.createTodo(session, body);
  }

  @Says('Changes an entry of the lists, or says that it is done')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(todoEdit) body: TodoEdit,
  ): Promise<Changed> {
    return this.why.editTodo(session, id, body);
  }

  @Says('Takes an entry off the lists')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.why.remove(session, 'todo', id, body);
  }
}
