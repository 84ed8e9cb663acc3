import { bodyOf, FOUND, type Found, type RigRow, type RouteRow } from '@dunlinmoss/contract';
import { groundOf, planGround, type Setting } from '@dunlinmoss/core';
import { drivenOn, gaugeStepKpa, stretchesAhead } from '@dunlinmoss/domain';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { useOutingOf } from '../../data/outings';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { Numerals } from '../../components/Numerals';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { useRoutePlan, type PlannedRoute } from '../../hooks/useRoutePlan';
import { unitsFor, unitsStore, type Units } from '../../settings/preferences';
import { speed } from '../../words/format';
import { setPressureText } from '../../words/limits';
import { groundName } from '../../words/grounds';
import {
  clockText,
  FOUND_WORDS,
  lateText,
  minutesText,
  routeTroubleText,
  settingText,
  startText,
  stopText,
  stretchText,
} from '../../words/route';
import { useRouter } from '../../hooks/useRouter';
import { SetPressures } from './SetPressures';
import { RouteDetails, RouteHeadline } from './RouteResult';

interface RouteDriveProps {
  readonly route: RouteRow;
  readonly rig: RigRow;
  readonly below?: ReactNode;
}

/** Minutes since midnight, by the clock of this place. */
const minuteOf = (ms: number): number => {
  const at = new Date(ms);
  return at.getHours() * 60 + at.getMinutes();
};

/** A route under way, planned anew from where the machine stands and what is in its tires. */
export function useDrive(route: RouteRow, rig: RigRow) {
  const units = unitsFor(unitsStore.use(), rig.family);
  const nowMs = useNow(true, 60_000);
  const nowMin = minuteOf(nowMs);
  const planned = useRoutePlan(route, rig, units, {}, nowMin);
  return { units, nowMin, planned };
}

/** Where a route under way stands, and what is next. */
export function RouteDrive({ route, rig, below }: RouteDriveProps) {
  const { units, nowMin, planned } = useDrive(route, rig);
  // What is ahead alone: the plan begins there.
  const ahead = { ...route, stretches: [...stretchesAhead(route)], startsAtMin: nowMin, drive: null };
  return (
    <Page
      title={route.name}
      result={
        <>
          <RouteHeadline
            route={ahead}
            rig={rig}
            planned={planned}
            units={units}
            profile={undefined}
            onMoveMark={undefined}
          />
          <RouteDetails route={ahead} rig={rig} planned={planned} units={units} />
        </>
      }
    >
      <NextOnRoute route={route} rig={rig} planned={planned} units={units} nowMin={nowMin} />
      {below}
      <Action
        label="End it here"
        onPress={() =>
          void save('routes', { ...bodyOf('routes', route), drive: null }, bodyOf('routes', route)).then((saved) =>
            notify(saved.kind === 'refused' ? saved.problem.title : `${route.name} is over. What was found is kept.`),
          )
        }
      />
    </Page>
  );
}

interface NextOnRouteProps {
  readonly route: RouteRow;
  readonly rig: RigRow;
  readonly planned: PlannedRoute;
  readonly units: Units;
  readonly nowMin: number;
}

/** The next stretch: what to set before it, and how it was once it is driven. */
export function NextOnRoute({ route, rig, planned, units, nowMin }: NextOnRouteProps) {
  const router = useRouter();
  const { outing } = useOutingOf(rig.id);
  const [setting, setSetting] = useState(false);
  const { answer, trouble, before, input } = planned;
  const at = route.drive?.at ?? 0;
  const stretch = route.stretches[at];
  const plan = answer?.plans[route.plan];
  const leg = plan?.legs[0];
  if (!stretch) return null;
  const title = `${at + 1} of ${route.stretches.length}: ${groundName(stretch.groundCode)}`;
  if (!leg || !before) {
    return (
      <Panel title={title}>
        {trouble ? (
          <Text role="alert">
            {trouble === 'failed'
              ? 'It could not be worked out just now.'
              : routeTroubleText(trouble, route, rig, units)}
          </Text>
        ) : (
          <Loading />
        )}
      </Panel>
    );
  }
  const stop = stopText(plan.legs, 0, before, units);
  const up = leg.setting.some(
    ({ pressureKpa }, axle) => pressureKpa > before[axle]!.pressureKpa + gaugeStepKpa(units) / 2,
  );
  // What stands against a reading there: the limits of the ground it is driven on, as fast as it is driven.
  const next = setting ? input?.stretches[0] : undefined;
  const onGround = next && planGround({ ...next.input, speedKmh: leg.kmh });
  const paved = groundOf(stretch.groundCode).code === 'pavement';
  // The next stop after this stretch, so that one knows before it where one can't.
  const nextStop = plan.legs.findIndex(({ stopMin }, index) => index > 0 && stopMin !== null);
  const tide = stretchesAhead(route).findIndex(({ closesAtMin }) => closesAtMin !== null);
  const late = lateText(plan, stretchesAhead(route));
  const begins = startText(planned.startKnown);
  const goAir = (way: '/air/out' | '/air/in'): void =>
    router.navigate({
      pathname: way,
      params: {
        rig: rig.id,
        ground: stretch.groundCode,
        to: toText(leg.setting),
        ...(stretch.loadCaseId !== null && { case: stretch.loadCaseId }),
      },
    });
  const driven = async (found: Found): Promise<void> => {
    const body = bodyOf('routes', route);
    const next = drivenOn(body, found);
    const saved = await save('routes', next, body);
    if (saved.kind === 'refused') notify(saved.problem.title);
    else if (!next.drive) notify(`${route.name} is driven. How the ground was is kept for next time.`);
  };
  return (
    <Panel title={title}>
      <Text as="small" tone="muted">{`${stretchText(stretch, rig, units)} · at most ${speed(leg.kmh, units)}`}</Text>
      {late !== undefined && (
        <Text role="alert" tone="rust">
          {late}
        </Text>
      )}
      {tide >= 0 && late === undefined && (
        <Text as="strong">{tideText(route, at + tide, plan.legs[tide]!.untilMin, nowMin)}</Text>
      )}
      {stop === undefined ? (
        <Text as="heading">{`Drive on as it is, at ${settingText(leg.setting, units)}.`}</Text>
      ) : (
        <>
          <Text as="heading">{`${stop}, before you go on.`}</Text>
          <Numerals units={units} axles={leg.setting} />
          <Action
            kind="main"
            label={up ? 'Pump up' : 'Let it out'}
            onPress={() => goAir(up ? '/air/in' : '/air/out')}
          />
          {!paved && <Action label="It’s already set" onPress={() => setSetting(true)} />}
          {setting && (
            <SetPressures
              rig={rig}
              ground={stretch.groundCode}
              planned={leg.setting}
              against={(axle, kpa) =>
                onGround?.ok ? setPressureText(onGround.value.axles[axle]!, kpa, units) : undefined
              }
              units={units}
              outing={outing}
              change={{
                ...(!outing && { title: route.name }),
                ...(stretch.loadCaseId !== null && { loadCaseId: stretch.loadCaseId }),
              }}
              backLabel="Back to the route"
              onClose={() => setSetting(false)}
            />
          )}
        </>
      )}
      {begins !== undefined && (
        <Text as="small" tone="rust">
          {begins}
        </Text>
      )}
      {nextStop > 0 && (
        <Text as="small">
          {`Next stop after that: before ${at + nextStop + 1}. ${groundName(route.stretches[at + nextStop]!.groundCode).toLowerCase()}, to ${settingText(plan.legs[nextStop]!.setting, units)}.`}
        </Text>
      )}
      <Text as="label" tone="muted">
        Driven? How was the ground?
      </Text>
      <View style={styles.row}>
        {FOUND.map((found) => (
          <View key={found} style={styles.found}>
            <Action label={FOUND_WORDS[found]} onPress={() => void driven(found)} />
          </View>
        ))}
      </View>
    </Panel>
  );
}

/** How long it is to the tide, and when one is through. */
function tideText(route: RouteRow, index: number, untilMin: number, nowMin: number): string {
  const stretch = route.stretches[index]!;
  const closes = stretch.closesAtMin!;
  const left = (closes - nowMin + 1440) % 1440;
  return `${minutesText(left)} until ${index + 1}. ${groundName(stretch.groundCode).toLowerCase()} closes at ${clockText(closes)}; you are through at ${clockText(nowMin + untilMin)}.`;
}

/** Pressures as an address carries them. */
const toText = (setting: Setting): string =>
  setting.map(({ position, pressureKpa }) => `${position}:${pressureKpa.toFixed(2)}`).join();

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8 },
  found: { flex: 1 },
});
