import type { DeviceFault, DeviceSetup } from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';
import { tireTempC, type SimulatedRig, type SimulatedWheel } from '../devices/simulatedRig';
import { forgetSaid, whichRigs, type LiveRig } from './liveRigs';
import { insertAll } from './parts';

/** The simulated stand-ins of some rigs, each under its space and its own id; without those that are switched off. */
export async function simulatedRigs(
  connection: Pool | Connection,
  rigs: readonly LiveRig[],
  lock = false,
): Promise<ReadonlyMap<string, SimulatedRig>> {
  const [which, values] = whichRigs(rigs);
  const all = async (table: string): Promise<RowDataPacket[]> =>
    (
      await connection.query<RowDataPacket[]>(
        `SELECT * FROM ${table} WHERE ${which}${lock ? ' FOR UPDATE' : ''}`,
        values as never,
      )
    )[0];
  const on = await all('simulated_rigs');
  if (on.length === 0) return new Map();
  const keyOf = (row: RowDataPacket): string => `${row.owner_id} ${row.rig_id}`;
  const byRig = (rows: readonly RowDataPacket[]): ReadonlyMap<string, RowDataPacket[]> => {
    const groups = new Map<string, RowDataPacket[]>();
    for (const row of rows) groups.set(keyOf(row), [...(groups.get(keyOf(row)) ?? []), row]);
    return groups;
  };
  const wheels = byRig(await all('simulated_wheels'));
  const faults = byRig(await all('simulated_faults'));
  return new Map(
    on.map((rig) => [
      keyOf(rig),
      {
        seed: rig.seed,
        ambientC: rig.ambient_c,
        altitudeM: rig.altitude_m,
        driving: rig.driving === 1,
        warmFromC: rig.warm_from_c,
        warmAtMs: rig.warm_at.getTime(),
        sinceMs: rig.since.getTime(),
        wheels: (wheels.get(keyOf(rig)) ?? []).map((row) => ({
          position: row.position,
          wheel: row.wheel,
          volumeL: row.volume_l,
          coldKpa: row.cold_kpa,
          setAtMs: row.set_at.getTime(),
          flow: row.flow,
          flowRate: row.flow_rate,
          stopAtKpa: row.stop_at_kpa,
        })),
        faults: (faults.get(keyOf(rig)) ?? []).map(({ position, wheel, kind, since }) => ({
          position,
          wheel,
          kind,
          since: since.toISOString(),
        })),
      },
    ]),
  );
}

/** The simulated stand-ins of a rig; null where they are switched off. */
export const simulatedRig = async (
  connection: Pool | Connection,
  ownerId: string,
  rigId: string,
  lock = false,
): Promise<SimulatedRig | null> =>
  (await simulatedRigs(connection, [{ ownerId, rigId }], lock)).get(`${ownerId} ${rigId}`) ?? null;

/** Switches the stand-ins of a rig on, in place of what there was. */
export const switchOn = (pool: Pool, ownerId: string, rigId: string, setup: DeviceSetup): Promise<void> =>
  inTransaction(pool, async (connection) => {
    await connection.query('DELETE FROM simulated_rigs WHERE owner_id = ? AND rig_id = ?', [ownerId, rigId]);
    await forgetSaid(connection, ownerId, rigId);
    const since = new Date(setup.since);
    await connection.query('INSERT INTO simulated_rigs SET ?', [
      {
        owner_id: ownerId,
        rig_id: rigId,
        seed: setup.seed,
        ambient_c: setup.ambientC,
        altitude_m: setup.altitudeM,
        driving: setup.driving,
        warm_from_c: setup.ambientC,
        warm_at: since,
        since,
      },
    ]);
    await insertAll(
      connection,
      'simulated_wheels',
      ['owner_id', 'rig_id', 'position', 'wheel', 'volume_l', 'cold_kpa', 'set_at', 'flow', 'flow_rate', 'stop_at_kpa'],
      setup.wheels.map(({ position, wheel, volumeL, coldKpa }) => ({
        owner_id: ownerId,
        rig_id: rigId,
        position,
        wheel,
        volume_l: volumeL,
        cold_kpa: coldKpa,
        set_at: since,
        flow: 'none',
        flow_rate: 0,
        stop_at_kpa: null,
      })),
    );
  });

export async function switchOff(pool: Pool, ownerId: string, rigId: string): Promise<void> {
  await pool.query('DELETE FROM simulated_rigs WHERE owner_id = ? AND rig_id = ?', [ownerId, rigId]);
  await forgetSaid(pool, ownerId, rigId);
}

/** Has some faults and no others. */
export const setFaults = (pool: Pool, ownerId: string, rigId: string, faults: readonly DeviceFault[]): Promise<void> =>
  inTransaction(pool, async (connection) => {
    await connection.query('DELETE FROM simulated_faults WHERE owner_id = ? AND rig_id = ?', [ownerId, rigId]);
    await forgetSaid(connection, ownerId, rigId);
    await insertAll(
      connection,
      'simulated_faults',
      ['owner_id', 'rig_id', 'position', 'wheel', 'kind', 'since'],
      faults.map(({ position, wheel, kind, since }) => ({
        owner_id: ownerId,
        rig_id: rigId,
        position,
        wheel,
        kind,
        since: new Date(since),
      })),
    );
  });

/** Drives off, or stops. */
export const setDriving = (pool: Pool, ownerId: string, rigId: string, driving: boolean): Promise<void> =>
  inTransaction(pool, async (connection) => {
    const rig = await simulatedRig(connection, ownerId, rigId, true);
    if (!rig || rig.driving === driving) return;
    const now = new Date();
    await forgetSaid(connection, ownerId, rigId);
    await connection.query(
      'UPDATE simulated_rigs SET driving = ?, warm_from_c = ?, warm_at = ? WHERE owner_id = ? AND rig_id = ?',
      [driving, tireTempC(rig, now.getTime()), now, ownerId, rigId],
    );
  });

/** Goes on from what each wheel has now, in the way that is asked for; null leaves a wheel as it is. */
export const changeWheels = (
  pool: Pool,
  ownerId: string,
  rigId: string,
  change: (rig: SimulatedRig, wheel: SimulatedWheel, atMs: number) => SimulatedWheel | null,
): Promise<SimulatedRig | null> =>
  inTransaction(pool, async (connection) => {
    const rig = await simulatedRig(connection, ownerId, rigId, true);
    if (!rig) return null;
    const now = Date.now();
    await forgetSaid(connection, ownerId, rigId);
    const wheels: SimulatedWheel[] = [];
    for (const wheel of rig.wheels) {
      const next = change(rig, wheel, now);
      wheels.push(next ?? wheel);
      if (!next) continue;
      await connection.query(
        `UPDATE simulated_wheels SET cold_kpa = ?, set_at = ?, flow = ?, flow_rate = ?, stop_at_kpa = ?
         WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ?`,
        [
          next.coldKpa,
          new Date(next.setAtMs),
          next.flow,
          next.flowRate,
          next.stopAtKpa,
          ownerId,
          rigId,
          next.position,
          next.wheel,
        ],
      );
    }
    return { ...rig, wheels };
  });
