import { createReadStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { ClockAnchor } from '@odograph/core';
import {
  newAngle,
  newClip,
  newDrawing,
  newFootage,
  newLook,
  newPerson,
  newPrinciple,
  newTodo,
  type NewAngle,
  type NewClip,
  type NewDrawing,
  type NewFootage,
  type NewLook,
  type NewPerson,
  type NewPrinciple,
  type NewTodo,
} from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { hashPassword } from '../accounts/passwords.js';
import { ClipsService } from '../clips/clips.service.js';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { checked } from '../errors/checked.js';
import { FootageService } from '../footage/footage.service.js';
import { ScoreboardStandIn } from '../scoreboard/scoreboardStandIn.js';
import { PeopleService } from '../people/people.service.js';
import { MediaService } from '../media/media.service.js';
import { WhyService } from '../why/why.service.js';
import { movedDays } from './demoDates.js';

type DemoAcademy = {
  readonly id: string;
  readonly name: string;
  readonly timeZone: string;
  readonly accounts: readonly {
    readonly id: string;
    readonly email: string;
    readonly password: string;
    readonly name: string;
    readonly role: Session['role'];
  }[];
  readonly persons: readonly NewPerson[];
  readonly files: readonly { readonly id: string; readonly path: string }[];
  readonly footage: readonly NewFootage[];
  readonly angles: readonly ({ readonly footageId: string } & NewAngle)[];
  readonly clips: readonly NewClip[];
  readonly principles: readonly NewPrinciple[];
  readonly todos: readonly NewTodo[];
  readonly drawings: readonly NewDrawing[];
  readonly looks: readonly ({ readonly attemptId: string } & NewLook)[];
  /** What the scoreboards of its bouts showed. */
  readonly scoreboards: readonly { readonly footageId: string; readonly readings: readonly ClockAnchor[] }[];
};

/** Loads the demo library through the same services that requests go through. Every step is repeatable, so a start that was cut short goes on. */
@Injectable()
export class DemoService {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(FootageService) private readonly footage: FootageService,
    @Inject(ClipsService) private readonly clips: ClipsService,
    @Inject(PeopleService) private readonly people: PeopleService,
    @Inject(WhyService) private readonly why: WhyService,
    @Inject(ScoreboardStandIn) private readonly scoreboards: ScoreboardStandIn,
  ) {}

  async load(folder: string): Promise<void> {
    const { academies } = JSON.parse(await readFile(join(folder, 'demo.json'), 'utf8')) as {
      academies: readonly DemoAcademy[];
    };
    for (const academy of academies) {
      const known = await this.models.academy.findOne({ where: { id: academy.id } });
      if (known?.get('demoLoadedAt')) continue;
      if (!known)
        await this.models.academy.create({
          id: academy.id,
          name: academy.name,
          timeZone: academy.timeZone,
          createdAt: new Date(),
          demoLoadedAt: null,
          libraryVersion: 0,
        });
      await this.loadAccounts(academy);
      await this.loadLibrary(academy, folder);
      await this.models.academy.update({ demoLoadedAt: new Date() }, { where: { id: academy.id } });
    }
  }

  private async loadAccounts(academy: DemoAcademy): Promise<void> {
    for (const { id, email, password, name, role } of academy.accounts) {
      if (!(await this.models.account.findOne({ where: { id } })))
        await this.models.account.create({
          id,
          email,
          name,
          passwordHash: await hashPassword(password),
          createdAt: new Date(),
        });
      await this.models.membership.findOrCreate({
        where: { academyId: academy.id, accountId: id },
        defaults: { academyId: academy.id, accountId: id, role, createdAt: new Date() },
      });
    }
  }

  private async loadLibrary(academy: DemoAcademy, folder: string): Promise<void> {
    const session: Session = {
      accountId: academy.accounts[0]!.id,
      academyId: academy.id as AcademyId,
      role: 'head',
      id: '',
    };
    for (const person of academy.persons) await this.people.newPerson(session, checked(newPerson, person));
    for (const file of academy.files)
      await this.media.takeIn(session, file.id, file.path, createReadStream(join(folder, file.path)));
    const moved = movedDays(academy.footage, new Date());
    for (const footage of academy.footage)
      await this.footage.create(session, checked(newFootage, { ...footage, date: moved(footage.date) }));
    for (const { footageId, ...angle } of academy.angles)
      await this.footage.addAngle(session, footageId, checked(newAngle, angle));
    for (const clip of academy.clips) await this.clips.create(session, checked(newClip, clip));
    for (const { attemptId, ...look } of academy.looks)
      await this.clips.addLook(session, attemptId, checked(newLook, look));
    for (const principle of academy.principles)
      await this.why.createPrinciple(session, checked(newPrinciple, principle));
    for (const drawing of academy.drawings) await this.why.createDrawing(session, checked(newDrawing, drawing));
    for (const todo of academy.todos)
      await this.why.createTodo(
        session,
        checked(newTodo, { ...todo, opened: moved(todo.opened), due: moved(todo.due) }),
      );
    for (const { footageId, readings } of academy.scoreboards)
      await this.scoreboards.keep(session.academyId, footageId, readings);
  }
}
