import { Controller, Delete, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import {
  aliasLines,
  removal,
  wordEdit,
  type AliasLines,
  type Changed,
  type Removal,
  type WordEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WordsService } from './words.service.js';

@Controller('words')
export class WordsController {
  constructor(@Inject(WordsService) private readonly words: WordsService) {}

  @Says('Says of one word what the academy says of it: name, aliases, hidden, and what an own word is')
  @Put()
  write(@CurrentSession() session: Session, @CheckedBody(wordEdit) body: WordEdit): Promise<Changed> {
    return this.words.write(session, body);
  }

  @Says('Adds aliases to many words at once')
  @Post('aliases')
  @HttpCode(200)
  addAliases(@CurrentSession() session: Session, @CheckedBody(aliasLines) body: AliasLines): Promise<Changed> {
    return this.words.addAliases(session, body);
  }

  @Says('Puts an own word in the bin; a shipped word goes back to how it ships')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.words.remove(session, id, body);
  }
}
