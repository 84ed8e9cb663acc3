import { PACKET_S } from '@dunlinmoss/contract';
import type { Response } from 'express';

import { packetOf, type SimulatedRig } from './simulatedRig';

type Read = () => Promise<SimulatedRig | null>;

interface Stream {
  readonly phones: Set<Response>;
  readonly timer: NodeJS.Timeout;
}

/** So long may a phone fail to take what it is sent before it is let go, bytes waiting. */
const MOST_WAITING = 256 * 1024;

/**
 * Sends what the monitors of a rig say to every phone that follows it. However many follow, a rig is asked once a slot and
 * its packets are written down once. It holds open connections and nothing else: each server has a hub of its own.
 */
export class MonitorHub {
  private readonly streams = new Map<string, Stream>();

  /** A phone begins to follow a rig; it is let go when its connection ends. */
  follow(key: string, read: Read, phone: Response): void {
    const open = this.streams.get(key);
    if (open) open.phones.add(phone);
    else {
      const stream: Stream = {
        phones: new Set([phone]),
        timer: setInterval(() => void this.tick(key, read), PACKET_S * 1000),
      };
      this.streams.set(key, stream);
      void this.tick(key, read);
    }
    phone.on('close', () => this.leave(key, phone));
  }

  private leave(key: string, phone: Response): void {
    const stream = this.streams.get(key);
    if (!stream?.phones.delete(phone) || stream.phones.size > 0) return;
    clearInterval(stream.timer);
    this.streams.delete(key);
  }

  private async tick(key: string, read: Read): Promise<void> {
    let text: string;
    try {
      const rig = await read();
      const slot = Math.floor(Date.now() / (PACKET_S * 1000)) * PACKET_S * 1000;
      const packets = rig ? rig.wheels.flatMap((_, index) => packetOf(rig, index, slot) ?? []) : [];
      text = rig
        ? `event: packets\ndata: ${JSON.stringify({ sentAt: new Date().toISOString(), packets })}\n\n`
        : 'event: off\ndata: {}\n\n';
    } catch {
      // The database is away: the line is kept open, and the phones see that no packet comes.
      text = ': waiting\n\n';
    }
    for (const phone of this.streams.get(key)?.phones ?? []) {
      if (phone.writableLength > MOST_WAITING) phone.destroy();
      else phone.write(text);
    }
  }

  /** Phones that follow now. */
  get size(): number {
    return [...this.streams.values()].reduce((sum, { phones }) => sum + phones.size, 0);
  }

  /** Ends every stream. */
  close(): void {
    for (const { phones, timer } of this.streams.values()) {
      clearInterval(timer);
      phones.forEach((phone) => phone.end());
    }
    this.streams.clear();
  }
}
