import { Inject, Injectable } from '@nestjs/common';
import { BARE_WORD, SHIPPED_WORDS, namedIn, type Scope } from '@odograph/core';
import type { AliasLines, Changed, Removal, WordEdit } from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import type { Session } from '../doors/session.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { Refused, invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { checkDefinition } from './definitionCheck.js';
import { WordsRepository } from './words.repository.js';

@Injectable()
export class WordsService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(WordsRepository) private readonly words: WordsRepository,
    @Inject(BinService) private readonly bin: BinService,
  ) {}

  /** Says of one word what the academy says of it from now on: name, aliases, hidden; for a word of its own also what it is. */
  async write(session: Session, request: WordEdit): Promise<Changed> {
    const { editId, baseVersion, kind, key, name, hidden, aliases, definition, scope } = request;
    const isShipped = SHIPPED_WORDS.some((w) => w.kind === kind && w.key === key);
    if (isShipped && definition) throw invalid('definition', { code: 'keeps-definition' });
    if (!isShipped && (!definition || name === null)) throw invalid('definition', { code: 'missing' });
    await this.checkScopes(session, request);
    if (definition) checkDefinition(definition, key, await this.library.words(session.academyId));
    const values = { name, hidden, definition, scope, aliases };
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const there = await this.words.change(session.academyId, kind, key, edit.transaction);
      if (!there) return edit.create('word', request.id, { kind, wordKey: key, ...values });
      await edit.restore('word', there.id);
      await edit.update('word', there.id, there.isBinned ? null : (baseVersion ?? 1), values);
    });
    return this.library.changed(session.academyId, touched);
  }

  private async checkScopes({ academyId }: Session, { scope, aliases }: WordEdit): Promise<void> {
    for (const [field, s] of [
      ['scope', scope] as const,
      ...aliases.map((a, i) => [`aliases.${i}.scope`, a.scope] as const),
    ]) {
      if (s.kind === 'coach' && !(await this.accounts.role(academyId, s.accountId)))
        throw invalid(field, { code: 'not-here', facts: { what: 'member' } });
      if (s.kind === 'footage' && !(await this.words.isFootage(academyId, s.footageId)))
        throw invalid(field, { code: 'not-here', facts: { what: 'footage' } });
    }
  }

  /** Adds aliases to many words at once; those that a word has already are left out. */
  async addAliases(session: Session, { editId, lines }: AliasLines): Promise<Changed> {
    const words = await this.library.words(session.academyId);
    lines.forEach(({ kind, key }, i) => {
      if (!words.get(kind, key)) throw invalid(`lines.${i}.key`, { code: 'not-here', facts: { what: 'word' } });
    });
    const touched = await this.changes.edit(session, editId, async (edit) => {
      for (const line of lines) await this.addAlias(session, edit, line);
    });
    return this.library.changed(session.academyId, touched);
  }

  private async addAlias(session: Session, edit: Edit, line: AliasLines['lines'][number]): Promise<void> {
    const there = await this.words.change(session.academyId, line.kind, line.key, edit.transaction);
    if (there && !there.isBinned && there.aliases.some((a) => a.alias === line.alias)) return;
    const scope: Scope = line.forMe ? { kind: 'coach', accountId: session.accountId } : { kind: 'academy' };
    const alias = { id: line.aliasId, alias: line.alias, scope, ...(line.language && { language: line.language }) };
    if (!there) {
      const { kind, key: wordKey, changeId } = line;
      return edit.create('word', changeId, { ...BARE_WORD, kind, wordKey, aliases: [alias] });
    }
    await edit.restore('word', there.id);
    // one that was put back to how it ships: what the academy said of it before stays away
    const before = there.isBinned ? { name: null, hidden: false, aliases: [] } : { aliases: there.aliases };
    await edit.update('word', there.id, null, { ...before, aliases: [...before.aliases, alias] });
  }

  /** Puts an own word in the bin, if nothing says it; a shipped word goes back to how it ships. */
  async remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const own = await this.words.isOwn(session.academyId, id);
    if (own === undefined && !(await this.changes.repeat(session, editId))) throw notFound();
    if (own) {
      const { attempts, routes } = await this.bin.references(session, 'word', id);
      if (attempts || routes.length)
        throw new Refused({
          code: 'in-use',
          facts: { by: attempts ? 'attempts' : 'routes', count: attempts || routes.length },
        });
      const changes = await this.words.changes(session.academyId);
      const [word, others] = [changes.find((c) => c.id === id), changes.filter((c) => c.id !== id)];
      const by = others.filter(({ definition }) =>
        namedIn(definition).some((named) => named.kind === word?.kind && named.key === word.key),
      );
      if (by.length) throw new Refused({ code: 'in-use', facts: { by: 'words', count: by.length } });
    }
    return this.bin.remove(session, 'word', id, editId, (edit) => edit.remove('word', id, baseVersion));
  }
}
