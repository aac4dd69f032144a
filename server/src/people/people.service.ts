import { Inject, Injectable } from '@nestjs/common';
import {
  type Acceptance,
  type Changed,
  type InvitationLook,
  type MemberRole,
  type NewInvitation,
  type NewPerson,
  type People,
  type PersonEdit,
  type Removal,
} from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import { AccountsService, type Caller, type Opened } from '../accounts/accounts.service.js';
import type { Session } from '../doors/session.js';
import { mustBeGood } from '../accounts/passwords.js';
import { newToken } from '../accounts/tokens.js';
import { TriesService } from '../accounts/tries.service.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import { CONFIG, addressOf, type Config } from '../config/config.js';
import { Refused, invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { LettersService } from '../letters/letters.service.js';
import { LINK } from '../letters/secrets.js';
import { QuotaService } from '../quota/quota.service.js';
import { PeopleRepository, type OpenInvitation } from './people.repository.js';

const INVITATION_DAYS = 14;

@Injectable()
export class PeopleService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(AccountsService) private readonly signing: AccountsService,
    @Inject(PeopleRepository) private readonly people: PeopleRepository,
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(BinService) private readonly bin: BinService,
    @Inject(LettersService) private readonly letters: LettersService,
    @Inject(QuotaService) private readonly quota: QuotaService,
    @Inject(TriesService) private readonly tries: TriesService,
  ) {}

  async all({ academyId }: Session): Promise<People> {
    const [members, invitations, accounts] = await Promise.all([
      this.people.members(academyId),
      this.people.invitations(academyId, new Date()),
      this.quota.of(academyId, 'accounts'),
    ]);
    return { members, invitations, accounts };
  }

  /** Invites somebody by mail. Sent twice under one id, one letter goes out. */
  async invite(session: Session, { id, email, role }: NewInvitation): Promise<People> {
    const { academyId } = session;
    const members = await this.people.members(academyId);
    if (members.some((m) => m.email === email)) throw new Refused({ code: 'member-already', facts: {} });
    if (!(await this.people.isInvited(academyId, email))) await this.quota.mustHave(academyId, 'accounts', 1);
    const [token, now] = [newToken(), new Date()];
    const expiresAt = new Date(now.getTime() + INVITATION_DAYS * 86_400_000);
    const [{ name }, inviter] = await Promise.all([
      this.accounts.academy(academyId),
      this.accounts.byId(session.accountId),
    ]);
    const invitation = { id, email, role, invitedBy: session.accountId };
    const replaced = await this.people.invite(academyId, invitation, token, now, expiresAt, (transaction) =>
      this.letters.write(
        {
          kind: 'invitation',
          academyId,
          accountId: null,
          aboutId: id,
          to: email,
          subject: `${name} invites you to Odograph`,
          body: `Hello,\n\n${inviter?.name ?? name} invites you to the library of ${name} as a ${role}. Accept within ${INVITATION_DAYS} days:\n\n${LINK}\n\nIf you don’t know why you got this, you can ignore it.\n`,
          link: `${addressOf(this.config)}/invitation#${token}`,
          expiresAt,
        },
        transaction,
      ),
    );
    for (const before of replaced) await this.letters.spent(before, 'invitation');
    return this.all(session);
  }

  async withdraw(session: Session, id: string): Promise<People> {
    if (!(await this.people.withdraw(session.academyId, id, new Date()))) throw notFound();
    await this.letters.spent(id, 'invitation');
    return this.all(session);
  }

  private async invitation(token: string, { address }: Caller): Promise<OpenInvitation> {
    await this.tries.count('link', { address });
    const found = await this.people.openInvitation(token, new Date());
    if (!found) throw new Refused({ code: 'link-spent', facts: {} });
    await this.tries.wentWell('link', { address });
    return found;
  }

  async look(token: string, caller: Caller): Promise<InvitationLook> {
    const { academyId, email, role } = await this.invitation(token, caller);
    const [{ name }, account] = await Promise.all([this.accounts.academy(academyId), this.accounts.byEmail(email)]);
    return { academy: name, email, role, hasAccount: account !== undefined };
  }

  /** Takes an invitation and signs in. Of several who take one at the same time, one does. */
  async accept({ token, name, password }: Acceptance, caller: Caller): Promise<Opened> {
    const invitation = await this.invitation(token, caller);
    const isNew = (await this.accounts.byEmail(invitation.email)) === undefined;
    if (isNew && !name) throw invalid('name', { code: 'missing' });
    if (isNew) mustBeGood(password);
    const partaker = await this.signing.partaker(invitation.email, name, password, caller);
    const accountId = await this.people.join(invitation, new Date(), (now, transaction) =>
      this.signing.idOf(partaker, now, transaction),
    );
    if (accountId === undefined) throw new Refused({ code: 'link-spent', facts: {} });
    await this.letters.spent(invitation.id, 'invitation');
    return this.signing.open(accountId, invitation.academyId, caller);
  }

  async changeRole(session: Session, accountId: string, role: MemberRole): Promise<People> {
    await this.changeMembership(session, accountId, role);
    return this.all(session);
  }

  /** Removes a member; what they have logged stays. */
  async removeMember(session: Session, accountId: string): Promise<void> {
    await this.changeMembership(session, accountId, null);
  }

  private async changeMembership(session: Session, accountId: string, role: MemberRole | null): Promise<void> {
    const done = await this.people.change(session.academyId, accountId, role, new Date());
    if (done === 'not there') throw notFound();
    if (done === 'last head') throw new Refused({ code: 'last-head', facts: {} });
  }

  async newPerson(session: Session, { editId, id, ...fields }: NewPerson): Promise<Changed> {
    await this.mustBeMember(session, fields.accountId, 'accountId');
    const touched = await this.changes.edit(session, editId, (edit) => edit.create('person', id, fields));
    return this.library.changed(session.academyId, touched);
  }

  async editPerson(session: Session, id: string, { editId, baseVersion, changes }: PersonEdit): Promise<Changed> {
    await this.mustBeMember(session, changes.accountId ?? null, 'changes.accountId');
    const touched = await this.changes.edit(session, editId, (edit) => edit.update('person', id, baseVersion, changes));
    return this.library.changed(session.academyId, touched);
  }

  private async mustBeMember({ academyId }: Session, accountId: string | null, field: string): Promise<void> {
    if (accountId !== null && !(await this.accounts.role(academyId, accountId)))
      throw invalid(field, { code: 'not-here', facts: { what: 'member' } });
  }

  /** Puts a person in the bin; one who is on footage stays until that is changed. */
  async removePerson(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const { footage } = await this.bin.references(session, 'person', id);
    if (footage.length) throw new Refused({ code: 'in-use', facts: { by: 'footage', count: footage.length } });
    return this.bin.remove(session, 'person', id, editId, (edit) => edit.remove('person', id, baseVersion));
  }
}
