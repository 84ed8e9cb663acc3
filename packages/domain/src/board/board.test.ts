import type { AiringRow, OutingRow, ReadingRoundRow, RigRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { rigWheels } from '../air/wheels';
import { fullRig, sampleBicycle, sampleRig } from '../testing/sampleRig';
import { axlesNow, boardOf, type BoardInput } from './board';

const at = (minute: number): string => new Date(Date.parse('2026-11-20T06:00:00Z') + minute * 60_000).toISOString();
const nowMs = Date.parse(at(600));
const rigs = ['a', 'b', 'c', 'd'].map((id) => sampleRig({ id, name: `Rig ${id}` }));
const outing = (rigId: string, change: Partial<OutingRow> = {}): OutingRow =>
  ({
    id: `o-${rigId}`,
    rigId,
    startedAt: at(0),
    pressuresAt: at(10),
    state: 'lowered',
    groundCode: 'softSand',
    tankLevel: null,
    stuckRung: 0,
    decision: null,
    pressures: [
      { position: 'front', pressureKpa: psi(15) },
      { position: 'rear', pressureKpa: psi(18) },
    ],
    ...change,
  }) as OutingRow;
const roundOf = (rig: RigRow, minute: number, change: Partial<ReadingRoundRow> = {}): ReadingRoundRow =>
  ({
    rigId: rig.id,
    readAt: at(minute),
    gauge: null,
    airTempC: 20,
    tireTempC: 20,
    altitudeM: 0,
    justDriven: false,
    wheels: rigWheels(rig).map(({ position, wheel, axle }) => ({ position, wheel, shownKpa: axle.roadKpa! })),
    ...change,
  }) as ReadingRoundRow;
const board = (input: Partial<BoardInput>) =>
  boardOf({ rigs, outings: [], airings: [], rounds: [], tests: [], nowMs, ...input });
const steps = (input: Partial<BoardInput>) => board(input).now.map(({ rig, step }) => `${rig.id} ${step}`);

describe('boardOf', () => {
  it('is empty while nothing was done', () => expect(board({})).toEqual({ now: [], toCome: [] }));

  it('has every machine that is out, the most pressing first', () => {
    const decided = { decision: { code: 'keep', note: '', counts: true } } as const;
    const open = { rigId: 'd', way: 'out', endedAt: null, runs: [], wheels: [] } as unknown as AiringRow;
    expect(
      steps({
        outings: [
          outing('a'),
          outing('b', { stuckRung: 1 }),
          outing('c', decided),
          outing('d', { state: 'planned', pressures: [] }),
        ],
        airings: [open],
        tests: [{ outingId: 'o-c' }],
      }),
    ).toEqual(['d goOn', 'b backUp', 'c airUp', 'a test']);
  });

  it('keeps a machine whose outing was ended with its air out, until it is read', () => {
    const closed = outing('a', { state: 'closed' });
    expect(steps({ outings: [closed] })).toEqual(['a standsLow']);
    expect(steps({ outings: [closed], rounds: [roundOf(rigs[0]!, 20)] })).toEqual([]);
    // One wheel short, or read warm, it stays.
    const three = roundOf(rigs[0]!, 20);
    expect(steps({ outings: [closed], rounds: [{ ...three, wheels: three.wheels.slice(1) }] })).toEqual([
      'a standsLow',
    ]);
    const warm = roundOf(rigs[0]!, 20, { justDriven: true, tireTempC: null });
    expect(steps({ outings: [closed], rounds: [warm] })).toEqual(['a standsLow']);
  });

  it('has a machine that was read low when it was entered, with nothing else kept of it', () => {
    const low = { ...fullRig({ id: 'f', name: 'Full' }), softOnPurposeAt: null };
    expect(low.axles[0]!.present).not.toBeNull();
    expect(board({ rigs: [...rigs, low] }).now).toMatchObject([{ rig: { id: 'f' }, step: 'standsLow' }]);
  });

  it('insists on one that stands low though another outing is planned with it', () => {
    const next = outing('a', { id: 'o2', state: 'planned', startedAt: at(500), pressures: [], pressuresAt: null });
    expect(steps({ outings: [next, outing('a', { state: 'closed' })] })).toEqual(['a standsLow']);
  });

  it('leaves one alone that stands soft on purpose, until it is let down again', () => {
    const soft = [{ ...rigs[0]!, softOnPurposeAt: at(30) }];
    const closed = outing('a', { state: 'closed' });
    expect(steps({ rigs: soft, outings: [closed] })).toEqual([]);
    expect(
      steps({ rigs: soft, outings: [closed, outing('a', { id: 'o2', state: 'closed', pressuresAt: at(60) })] }),
    ).toEqual(['a standsLow']);
  });

  it('lets an outing end once every wheel was read since it was let down', () => {
    expect(steps({ outings: [outing('a')], rounds: [roundOf(rigs[0]!, 60)] })).toEqual(['a endOuting']);
    expect(steps({ outings: [outing('a')], rounds: [roundOf(rigs[0]!, 5)] })).toEqual(['a test']);
  });

  it('has a bicycle while it is on an outing, its air carried home', () => {
    const bicycle = { ...sampleBicycle(), id: 'a' };
    const ride = outing('a', { groundCode: 'hardpack' });
    expect(steps({ rigs: [bicycle], outings: [ride] })).toEqual(['a decide']);
    expect(steps({ rigs: [bicycle], outings: [{ ...ride, state: 'closed' }] })).toEqual([]);
  });

  it('keeps what is planned for a day to come beside it, and brings it when the day does', () => {
    const later = outing('a', { state: 'planned', startedAt: at(3000), pressures: [], pressuresAt: null });
    const { now, toCome } = board({ outings: [outing('b', { state: 'planned', startedAt: at(2000) }), later] });
    expect(now).toEqual([]);
    expect(toCome.map(({ rigId }) => rigId)).toEqual(['b', 'a']);
    expect(steps({ outings: [later], nowMs: Date.parse(at(3001)) })).toEqual(['a setPressures']);
  });
});

describe('axlesNow', () => {
  it('has one figure an axle where its wheels agree, and the least sure of them', () => {
    const [entry] = board({ outings: [outing('a')] }).now;
    expect(axlesNow(entry!, psi(1))).toMatchObject([
      { position: 'front', lowestKpa: psi(15), alike: true, known: 'set', at: at(10) },
      { position: 'rear', lowestKpa: psi(18), alike: true, known: 'set' },
    ]);
    const half = roundOf(rigs[0]!, 60);
    const [read] = board({ outings: [outing('a')], rounds: [{ ...half, wheels: half.wheels.slice(0, 1) }] }).now;
    expect(axlesNow(read!, psi(1))[0]).toMatchObject({ lowestKpa: psi(15), alike: false, known: 'set' });
  });
});
