import type { AiringRow, AirToolRow, GaugeRow, OutingRow, ReadingRoundRow, RigRow } from '@dunlinmoss/contract';
import {
  airPressureKpaAbs,
  planGround,
  wheelKey,
  type AxlePosition,
  type Family,
  type GroundPlan,
  type TireConditions,
} from '@dunlinmoss/core';
import {
  axleOnGauge,
  gaugeStepKpa,
  inTire,
  lastSetKpa,
  planInput,
  type RigNow,
  type RigWheel,
  rigWheels,
} from '@dunlinmoss/domain';

import { useLocalSearchParams } from 'expo-router';

import { useAirings } from '../data/airings';
import { useConditions } from './useConditions';
import { conditionsOf } from '../settings/conditions';
import { useOutingsOf } from '../data/outings';
import { useGauges } from '../data/gauges';
import type { Units } from '../settings/preferences';
import { useRows } from '../data/rows';
import { usePlanQuery, type PlanQuery } from './usePlanQuery';

/** Cold tires at the sea: what is taken where nobody said otherwise. */
const COLD: TireConditions = { coldTempC: 20, tireTempC: 20, altitudeM: 0 };

/** Everything that the screens of this place look at, of one rig. */
export interface AirJob extends RigNow {
  readonly family: Family;
  readonly units: Units;
  readonly outing: OutingRow | undefined;
  readonly outings: readonly OutingRow[];
  readonly question: PlanQuery;
  readonly plan: GroundPlan | undefined;
  readonly airings: readonly AiringRow[];
  readonly rounds: readonly ReadingRoundRow[];
  /** All that was ever done with its air is here: without a signal some may be missing, and nothing is called ready then. */
  readonly isWhole: boolean;
  readonly tools: readonly AirToolRow[];
  readonly gauges: readonly GaugeRow[];
  readonly conditions: TireConditions;
  readonly outsideKpaAbs: number;
  /** The cold pressure that a wheel was last set to, kPa; its road pressure where it never was. */
  readonly lastSet: (wheel: RigWheel) => number | undefined;
  /** What the plan has for a wheel, cold, as a gauge shows it; undefined without a plan. */
  readonly planned: (wheel: RigWheel) => ReturnType<typeof axleOnGauge> | undefined;
  /** What a route asks for instead, cold, by axle; nothing where none does. */
  readonly ordered: ReadonlyMap<AxlePosition, number>;
}

/** Pressures that an address carries, as `front:96.53,rear:110.32`; what is none is passed over. */
function orderedIn(text: string | undefined, positions: readonly AxlePosition[]): ReadonlyMap<AxlePosition, number> {
  const told = new Map((text ?? '').split(',').map((part) => part.split(':') as [string, string]));
  return new Map(
    positions.flatMap((position) => {
      const kpa = Number(told.get(position));
      return kpa > 0 && kpa < 2_000 ? [[position, kpa] as const] : [];
    }),
  );
}

/** The rig and ground of the address, or of the outing under way, with everything read and timed on it. */
export function useAirJob(): {
  readonly job: AirJob | undefined;
  readonly rigs: readonly RigRow[];
  readonly loading: boolean;
} {
  const { question, rigs, loading } = usePlanQuery();
  const { to } = useLocalSearchParams<{ to?: string }>();
  const { typed } = useConditions(question?.rig.id ?? '');
  const airingList = useAirings(question?.rig.id);
  const airings = airingList.rows;
  const roundList = useRows('readings', question ? { rigId: question.rig.id } : null);
  const { rows: tools } = useRows('tools');
  const gauges = useGauges();
  const rounds = roundList.rows;
  const outingList = useOutingsOf(question?.rig.id);
  const outings = outingList.rows;
  if (!question) return { job: undefined, rigs, loading };
  const { rig, family, units, outing, tests, asked } = question;
  const input = planInput(rig, tests, asked);
  const result = input.ok ? planGround(input.value) : undefined;
  const plan = result?.ok ? result.value : undefined;
  const conditions = conditionsOf(typed) ?? COLD;
  const wheels = rigWheels(rig);
  const history = { rig, airings, rounds, outings };
  const known = new Map(
    wheels.flatMap((wheel) => {
      const found = inTire(history, wheel);
      return found ? [[wheelKey(wheel), found] as const] : [];
    }),
  );
  return {
    rigs,
    loading: false,
    job: {
      rig,
      family,
      units,
      outing,
      outings,
      question,
      tests,
      loadCaseId: outing?.loadCaseId ?? asked.loadCaseId ?? null,
      stepKpa: gaugeStepKpa(units),
      plan,
      wheels,
      airings,
      rounds,
      isWhole: [airingList, roundList, outingList].every(({ loading: waits }) => !waits),
      tools,
      gauges,
      conditions,
      outsideKpaAbs: airPressureKpaAbs(conditions.altitudeM),
      ordered: orderedIn(
        to,
        rig.axles.map(({ position }) => position),
      ),
      known: (wheel) => known.get(wheelKey(wheel)),
      lastSet: (wheel) => lastSetKpa(history, wheel),
      planned: (wheel) => {
        const axle = plan?.axles.find(({ position }) => position === wheel.position);
        return axle && axleOnGauge(axle, units);
      },
    },
  };
}
