import type { RouteBody } from '@dunlinmoss/contract';
import { planRoute, psi, type RouteAnswer } from '@dunlinmoss/core';
import { newStretch, routeInput, settingNow, type RouteContext } from '@dunlinmoss/domain';
import { sampleRig } from '@dunlinmoss/domain/testing';

import { FIRST_UNITS, withUnit } from '../settings/preferences';
import {
  missingLines,
  clockMin,
  clockText,
  daySheet,
  lateText,
  minutesLines,
  minutesText,
  planNote,
  robustText,
  routeTroubleText,
  settingText,
  sideBySide,
  stopText,
  stretchText,
  verdictText,
} from './route';
import { way } from './way';
import { routeGeoJson, routeGpx } from './routeFile';
import { sheetText } from './sheet';

const rig = sampleRig();
const units = FIRST_UNITS;
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');
const both = (front: number, rear = front) => [
  { position: 'front' as const, pressureKpa: psi(front) },
  { position: 'rear' as const, pressureKpa: psi(rear) },
];
const context: RouteContext = {
  rig,
  tests: [],
  airings: [],
  known: () => undefined,
  outTool: { kind: 'stick', tool: undefined },
  inTool: { kind: 'onBoardCompressor', tool: undefined },
  altitudeM: 0,
  stepKpa: psi(1),
  withProof: (asked) => asked,
};
const day = (
  parts: readonly (readonly [RouteBody['stretches'][number]['groundCode'], number])[],
  change: Partial<RouteBody> = {},
): RouteBody => ({
  id: '0192f000-0000-7000-8000-000000000201',
  revision: 0,
  name: 'Over the flat',
  rigId: rig.id,
  keptAt: '2026-11-29T06:00:00.000Z',
  startsAtMin: 480,
  plan: 'quickest',
  bogMin: null,
  pullOverMin: null,
  central: false,
  prices: { harsh: null, pressed: null, soft: null },
  stretches: parts.map(([ground, km], index) => newStretch(`s${index}`, ground, 1000 * km)),
  track: null,
  drive: null,
  ...change,
});
const planned = (route: RouteBody): RouteAnswer => {
  const input = routeInput(route, context);
  if (!input.ok) throw new Error(input.problem.code);
  const result = planRoute(input.value);
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};
const before = settingNow(context)!;
const beach = day([
  ['pavement', 20],
  ['gravel', 15],
  ['softSand', 3],
  ['gravel', 15],
  ['pavement', 20],
]);

describe('words of a route', () => {
  it('says lengths and times as people do', () => {
    expect(plain(way(2_500, units))).toBe('2.5 km');
    expect(plain(way(20_000, units))).toBe('20 km');
    expect(plain(way(16_093, withUnit(units, 'speed', 'mph')))).toBe('10 mi');
    expect(plain(minutesText(142.2))).toBe('2 h 22 min');
    expect(plain(minutesText(0.2))).toBe('1 min');
    expect(clockText(845)).toBe('14:05');
    expect(clockText(1440 + 5)).toBe('00:05');
  });

  it.each([
    ['7', 420],
    ['7:30', 450],
    ['07.30', 450],
    ['730', 450],
    ['14h05', 845],
    ['23:59', 1439],
    ['24:00', undefined],
    ['7:60', undefined],
    ['soon', undefined],
    ['', undefined],
  ])('reads %j as %s', (text, minutes) => {
    expect(clockMin(text)).toBe(minutes);
  });

  it('names one number where all axles have it, and each where they differ', () => {
    expect(plain(settingText(both(14), units))).toBe('14 psi');
    expect(plain(settingText(both(14, 16), units))).toBe('front 14, rear 16 psi');
  });

  it('says what is done at each stop, where the time goes, and what it is held against', () => {
    const answer = planned(beach);
    const { quickest } = answer.plans;
    expect(stopText(quickest.legs, 0, before, units)).toBeUndefined();
    const stops = quickest.legs.map((_, index) => stopText(quickest.legs, index, before, units));
    expect(plain(stops.filter(Boolean)[0]!)).toMatch(/^Let out to .* psi, \d+ min$/);
    expect(plain(stops.filter(Boolean).at(-1)!)).toMatch(/^Pump up to 36 psi, \d+ min$/);
    expect(minutesLines(quickest).map(([name]) => name)).toEqual(expect.arrayContaining(['Driving', '2 stops']));
    expect(planNote(quickest)).toMatch(/^2 stops; gets through \d\d of 100$/);
    const { head, rows } = sideBySide(answer, units);
    expect(head).toEqual(['', 'In all', 'Driving', 'Stops', 'Stuck']);
    expect(rows.map(([name]) => plain(name!))).toEqual([
      'Quickest',
      'Fewest stops',
      'Surest',
      '36 psi all day',
      'Each ground by its own table',
    ]);
    expect(plain(rows[0]![3]!)).toMatch(/^2 × \d+ min$/);
    expect(missingLines(answer)).toEqual([]);
    expect(missingLines({ ...answer, onePressure: null, tradeTable: null })).toHaveLength(2);
    expect(plain(verdictText(answer, quickest, units))).toMatch(/ less than 36 psi all day\.$/);
    expect(plain(robustText(answer.robustness!, beach.stretches, units))).toMatch(
      /on soft sand is never more than .* wrong\. Take .* if you fear it is softer/,
    );
  });

  it('says never change, and one pressure, where that is the truth', () => {
    const short = planned(
      day([
        ['pavement', 20],
        ['gravel', 2],
        ['pavement', 20],
      ]),
    );
    expect(verdictText(short, short.plans.quickest, units)).toMatch(/^Don’t change anything/);
    const dunes = planned(
      day([
        ['softSand', 12],
        ['softSand', 12],
      ]),
    );
    expect(plain(verdictText(dunes, dunes.plans.quickest, units))).toMatch(/^One pressure all day, .* set it first/);
  });

  it('says what is not in time, and nothing else as if it were', () => {
    const late = day(
      [
        ['pavement', 20],
        ['dampSand', 6],
      ],
      {
        stretches: beach.stretches
          .slice(0, 2)
          .map((each, index) => (index === 1 ? { ...each, closesAtMin: 485 } : each)),
      },
    );
    const answer = planned(late);
    expect(plain(lateText(answer.plans.quickest, late.stretches)!)).toMatch(
      /^Too late for 2\. gravel, corrugations: it closes \d+ min before you are through\./,
    );
    expect(verdictText(answer, answer.plans.quickest, units)).toBe('');
    expect(lateText(planned(beach).plans.quickest, beach.stretches)).toBeUndefined();
  });

  it('describes a stretch by what was said of it', () => {
    const told = {
      ...beach.stretches[2]!,
      climbDeg: 4,
      speedKmh: 25,
      noStopping: true,
      freeAir: true,
      opensAtMin: 540,
      closesAtMin: 700,
      sureness: 'doubtful' as const,
      found: 'softer' as const,
    };
    expect(plain(stretchText(told, rig, units))).toBe(
      '3 km, climbs 4°, at most 25 km/h, no stopping, air at its start, from 09:00, through by 11:40, not sure at all, was softer',
    );
  });

  it('says why there is none, and on which stretch', () => {
    expect(routeTroubleText({ code: 'notEnoughAir', stretch: 4 }, beach, rig, units)).toMatch(/^5\. Pavement: the air/);
    expect(routeTroubleText({ code: 'noStopBefore', stretch: 2 }, beach, rig, units)).toMatch(/^3\. Soft sand: /);
    const unloaded = { code: 'loads', problem: { code: 'riderMissing' }, stretch: 0 } as const;
    expect(routeTroubleText(unloaded, beach, rig, units)).toMatch(/Rider/);
  });

  it('stands on one page, by the clock', () => {
    const answer = planned(beach);
    const text = sheetText(daySheet(beach, rig, answer, answer.plans.quickest, before, units));
    expect(text).toContain('begins at 08:00');
    expect(text).toMatch(/3\. Soft sand, 3 km +Let out to|3\. Soft sand, 3 km +front/);
    expect(text).toContain('never onto pavement');
    // The strip is for eyes: its bars add up to the whole way, a post at each stop.
    const sheet = daySheet(beach, rig, answer, answer.plans.quickest, before, units);
    const bars = sheet.parts.flatMap((part) => ('bars' in part ? part.bars : []));
    expect(bars.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(bars.filter(({ post }) => post)).toHaveLength(2);
  });
});

describe('files of a route', () => {
  const track: RouteBody['track'] = [
    [8, 54, 3.04],
    [8.01, 54.01, null],
  ];

  it('are GPX where there is a track, with nothing in it that a reader would trip over', () => {
    expect(routeGpx(beach)).toBeUndefined();
    const gpx = routeGpx({ name: 'A <b> & "c"', track })!;
    expect(gpx).toContain('<name>A &lt;b&gt; &amp; &quot;c&quot;</name>');
    expect(gpx).toContain('<trkpt lat="54" lon="8"><ele>3.0</ele></trkpt>');
    expect(gpx).toContain('<trkpt lat="54.01" lon="8.01"></trkpt>');
  });

  it('are GeoJSON with every stretch and what is set on it', () => {
    const answer = planned(beach);
    const json = JSON.parse(routeGeoJson({ ...beach, track }, answer.plans.quickest));
    const [feature] = json.features;
    expect(feature.geometry).toEqual({
      type: 'LineString',
      coordinates: [
        [8, 54, 3.04],
        [8.01, 54.01],
      ],
    });
    expect(feature.properties.stretches).toHaveLength(5);
    expect(feature.properties.stretches[0]).toMatchObject({ ground: 'pavement', lengthM: 20_000, stopBefore: false });
    expect(JSON.parse(routeGeoJson(beach, undefined)).features[0].geometry).toBeNull();
  });
});
