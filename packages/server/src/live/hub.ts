import { randomUUID } from 'node:crypto';

import { PACKET_S } from '@dunlinmoss/contract';
import type { Response } from 'express';
import type { Pool } from 'mysql2/promise';
import { setTimeout as sleep } from 'node:timers/promises';

import { claimSlot, saidOf, say, type LiveRig, type Said } from '../repositories/liveRigs';
import { simulatedRigs } from '../repositories/simulatedRigs';
import { packetOf, type SimulatedRig } from '../devices/simulatedRig';

const SLOT_MS = PACKET_S * 1000;
/** So long may a phone fail to take what it is sent before it is let go, bytes waiting. */
const MOST_WAITING = 256 * 1024;
/** Who comes within so long is asked for together, ms: after a restart all come at once. */
const TOGETHER_MS = 20;
/** When it is looked for what another server makes, ms; whoever has not made it by then has ended. */
const LOOKS_MS = [50, 100, 200, 400, 800];

const keyOf = ({ ownerId, rigId }: LiveRig): string => `${ownerId} ${rigId}`;

/** What the monitors of a rig say in a slot, as one event; the word that they are off where there are none. */
function eventOf(rig: SimulatedRig | undefined, slotMs: number): string {
  if (!rig) return 'event: off\ndata: {}\n\n';
  const packets = rig.wheels.flatMap((_, index) => packetOf(rig, index, slotMs) ?? []);
  return `event: packets\ndata: ${JSON.stringify({ sentAt: new Date().toISOString(), packets })}\n\n`;
}

/**
 * Sends what the monitors of rigs say to every phone that follows one. However many follow, and by whichever servers, the
 * packets of a rig are made once a slot: the server that comes first makes them and leaves them where the others find them.
 * It holds open connections and nothing else.
 */
export class MonitorHub {
  private readonly followed = new Map<string, { readonly rig: LiveRig; readonly phones: Set<Response> }>();
  private newcomers = new Map<Response, LiveRig>();
  private timer: NodeJS.Timeout | undefined;
  private readonly maker = randomUUID();

  constructor(private readonly pool: Pool) {}

  /** A phone begins to follow a rig; it is let go when its connection ends. */
  follow(ownerId: string, rigId: string, phone: Response): void {
    const rig = { ownerId, rigId };
    const key = keyOf(rig);
    const open = this.followed.get(key);
    if (open) open.phones.add(phone);
    else this.followed.set(key, { rig, phones: new Set([phone]) });
    phone.on('close', () => this.leave(key, phone));
    // Who comes in the middle of a slot has its packets at once, together with whoever else has just come.
    if (this.newcomers.size === 0) setTimeout(() => void this.welcome(), TOGETHER_MS);
    this.newcomers.set(phone, rig);
    this.timer ??= this.untilNextSlot();
  }

  /** Phones that follow now. */
  get size(): number {
    return [...this.followed.values()].reduce((sum, { phones }) => sum + phones.size, 0);
  }

  /** Ends every stream. */
  close(): void {
    clearTimeout(this.timer);
    const all = [...this.followed.values()].flatMap(({ phones }) => [...phones]);
    this.followed.clear();
    for (const phone of all) phone.end();
  }

  private async welcome(): Promise<void> {
    const { newcomers } = this;
    this.newcomers = new Map();
    const rigs = new Map([...newcomers.values()].map((rig) => [keyOf(rig), rig]));
    await this.hand([...rigs.values()], newcomers);
  }

  private leave(key: string, phone: Response): void {
    const own = this.followed.get(key);
    if (!own?.phones.delete(phone) || own.phones.size > 0) return;
    this.followed.delete(key);
  }

  private untilNextSlot(): NodeJS.Timeout {
    return setTimeout(
      () => {
        this.timer = this.followed.size > 0 ? this.untilNextSlot() : undefined;
        void this.hand([...this.followed.values()].map(({ rig }) => rig));
      },
      SLOT_MS - (Date.now() % SLOT_MS),
    );
  }

  /** Sends the packets of this slot of some rigs to those who follow them, or to some of those alone. */
  private async hand(rigs: readonly LiveRig[], to?: ReadonlyMap<Response, LiveRig>): Promise<void> {
    if (rigs.length === 0) return;
    const slotMs = Math.floor(Date.now() / SLOT_MS) * SLOT_MS;
    const events = await this.eventsOf(rigs, slotMs).catch(() => null);
    for (const rig of rigs) {
      const key = keyOf(rig);
      // The database is away: the line is kept open, and the phones see that no packet comes.
      const text = events?.get(key) ?? ': waiting\n\n';
      for (const phone of this.followed.get(key)?.phones ?? []) {
        if (to && !to.has(phone)) continue;
        if (phone.writableLength > MOST_WAITING) phone.destroy();
        else phone.write(text);
      }
    }
  }

  /** The event of each rig: made here where nobody has begun to, else as another server left it. */
  async eventsOf(rigs: readonly LiveRig[], slotMs: number): Promise<ReadonlyMap<string, string>> {
    const events = new Map<string, string>();
    await claimSlot(this.pool, rigs, slotMs, this.maker);
    let left = rigs;
    const take = async (): Promise<void> => {
      const said = new Map((await saidOf(this.pool, left)).map((each) => [keyOf(each), each]));
      const mine: LiveRig[] = [];
      left = left.filter((rig) => {
        const own = said.get(keyOf(rig));
        // A server whose clock is ahead has gone on to the next slot: what it says is newer.
        if (own?.event != null) events.set(keyOf(rig), own.event);
        else if (own?.maker === this.maker && own.slotMs === slotMs) mine.push(rig);
        else return true;
        return false;
      });
      if (mine.length > 0) for (const [key, event] of await this.make(mine, slotMs)) events.set(key, event);
    };
    await take();
    for (const ms of LOOKS_MS) {
      if (left.length === 0) return events;
      await sleep(ms);
      await take();
    }
    if (left.length > 0) for (const [key, event] of await this.make(left, slotMs)) events.set(key, event);
    return events;
  }

  private async make(rigs: readonly LiveRig[], slotMs: number): Promise<ReadonlyMap<string, string>> {
    const found = await simulatedRigs(this.pool, rigs);
    const said: Said[] = rigs.map((rig) => ({
      ...rig,
      slotMs,
      maker: this.maker,
      event: eventOf(found.get(keyOf(rig)), slotMs),
    }));
    // Those who follow here need not wait for it; where it fails, the others make it themselves.
    void say(this.pool, said).catch(() => undefined);
    return new Map(said.map((each) => [keyOf(each), each.event!]));
  }
}
