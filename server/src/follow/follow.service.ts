import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { Follower, Following, LeadSaid, LeadView, Wheel } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';

/** Somebody whose stream breaks off keeps the wheel for so long, in ms. */
const KEPT_MS = 5000;

type Window = Follower & { readonly tell: (now: Following) => void; readonly end: () => void };
type Room = {
  lead: Follower | null;
  view: LeadView | null;
  asking: readonly Follower[];
  readonly windows: Set<Window>;
  leaving: NodeJS.Timeout | undefined;
};

/** Who leads in each academy and what they see: known to this process alone, and gone with it. Whoever listens is told it all at once, and each time it changes. */
@Injectable()
export class FollowService implements OnModuleDestroy {
  private readonly rooms = new Map<AcademyId, Room>();

  private room(academy: AcademyId): Room {
    const room = this.rooms.get(academy) ?? {
      ...{ lead: null, view: null, asking: [], windows: new Set<Window>(), leaving: undefined },
    };
    this.rooms.set(academy, room);
    return room;
  }

  private now({ lead, view, asking, windows }: Room): Following {
    return { lead, view, asking, followers: [...windows].filter((w) => w.clientId !== lead?.clientId).length };
  }

  private tell(room: Room): void {
    const now = this.now(room);
    for (const window of room.windows) window.tell(now);
  }

  /** Tells a window how it stands now and whenever that changes; gives what ends that. */
  listen({ academyId }: Session, window: Window): () => void {
    const room = this.room(academyId);
    room.windows.add(window);
    if (room.lead?.clientId === window.clientId) clearTimeout(room.leaving);
    this.tell(room);
    return () => this.leave(academyId, room, window);
  }

  private leave(academy: AcademyId, room: Room, window: Window): void {
    if (!room.windows.delete(window)) return;
    const isThere = (clientId: string): boolean => [...room.windows].some((w) => w.clientId === clientId);
    if (!isThere(window.clientId)) room.asking = room.asking.filter((f) => f.clientId !== window.clientId);
    if (room.lead?.clientId === window.clientId && !isThere(window.clientId))
      room.leaving = setTimeout(() => this.free(room), KEPT_MS).unref();
    this.tell(room);
    if (!room.windows.size && !room.lead) this.rooms.delete(academy);
  }

  private free(room: Room): void {
    room.lead = null;
    room.view = null;
    this.tell(room);
  }

  /** What whoever leads sees now; of anybody else it is refused. */
  say({ academyId }: Session, { clientId, view }: LeadSaid): void {
    const room = this.room(academyId);
    if (room.lead?.clientId !== clientId)
      throw new Refused({ code: 'not-leading', facts: { by: room.lead?.name ?? null } });
    room.view = view;
    this.tell(room);
  }

  wheel({ academyId }: Session, { clientId, does, to }: Wheel, name: string): void {
    const room = this.room(academyId);
    const { lead } = room;
    const mine: Follower = { clientId, name };
    const isLead = lead?.clientId === clientId;
    if (does === 'ask' || (does === 'take' && lead && !isLead)) {
      if (lead && !isLead) room.asking = [...room.asking.filter((f) => f.clientId !== clientId), mine];
      else room.lead = mine;
    } else if (does === 'take') room.lead = mine;
    else {
      if (!isLead) throw new Refused({ code: 'not-leading', facts: { by: lead?.name ?? null } });
      const next = does === 'give' ? room.asking.find((f) => f.clientId === to) : undefined;
      room.asking = room.asking.filter((f) => f !== next);
      // who gives it away goes on seeing what they saw
      if (next) room.lead = next;
      else if (does === 'leave') this.free(room);
    }
    this.tell(room);
  }

  onModuleDestroy(): void {
    for (const room of this.rooms.values()) {
      clearTimeout(room.leaving);
      for (const { end } of room.windows) end();
    }
    this.rooms.clear();
  }
}
