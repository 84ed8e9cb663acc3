import type { RigRow, RouteBody } from '@dunlinmoss/contract';
import { familyOf, type TrackProfile } from '@dunlinmoss/core';
import { marksOf } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { TrackMarks } from '../../components/TrackMarks';
import { Unfold } from '../../components/Unfold';
import type { PlannedRoute } from '../../hooks/useRoutePlan';
import { RouteStrip } from '../../pictures/RouteStrip';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { ofHundred, speed } from '../../words/format';
import { groundName } from '../../words/grounds';
import {
  capital,
  missingLines,
  clockText,
  daySheet,
  lateText,
  minutesLines,
  PLAN_WORDS,
  planFigure,
  planNote,
  robustText,
  routeTroubleText,
  sideBySide,
  settingText,
  startText,
  KEPT_HARD,
  keptHard,
  legWarning,
  stopText,
  stretchText,
  verdictText,
  wearLines,
} from '../../words/route';
import { way } from '../../words/way';

interface RouteResultProps {
  readonly route: RouteBody;
  readonly rig: RigRow;
  readonly planned: PlannedRoute;
  readonly units: Units;
  readonly profile: TrackProfile | undefined;
  /** A mark of the track was dragged; none without a track. */
  readonly onMoveMark: ((id: string, share: number) => void) | undefined;
}

/** The answer of a route in short: how long, how many stops, the strip. */
export function RouteHeadline({ route, rig, planned, units, profile, onMoveMark }: RouteResultProps) {
  const palette = usePalette();
  const { answer, trouble, before } = planned;
  const plan = answer?.plans[route.plan];
  const { stretches } = route;
  const stops = (index: number): string | undefined =>
    plan && before ? stopText(plan.legs, index, before, units) : undefined;
  const strip = stretches.length > 0 && (
    <RouteStrip
      stretches={stretches.map(({ groundCode, lengthM }, index) => ({
        ground: groundCode,
        lengthM,
        levelsKpa: plan?.legs[index]?.setting.map(({ pressureKpa }) => pressureKpa) ?? [],
        stop: stops(index) !== undefined,
      }))}
      profile={profile}
      label={`The day along the way: ${stretches.map(({ groundCode, lengthM }, index) => `${way(lengthM, units)} of ${groundName(groundCode).toLowerCase()}${plan?.legs[index] ? ` at ${settingText(plan.legs[index].setting, units)}` : ''}`).join('; ')}.`}
      units={units}
      palette={palette}
    />
  );
  const endM = profile?.alongM.at(-1) ?? 0;
  const picture =
    profile && onMoveMark ? (
      <View style={styles.strip}>
        <TrackMarks
          marks={marksOf(stretches, endM)
            .slice(1)
            .map(({ id, groundCode, fromM }) => ({
              id,
              name: groundName(groundCode).toLowerCase(),
              shown: way(fromM, units),
              share: fromM / endM,
            }))}
          onMove={onMoveMark}
        >
          {strip}
        </TrackMarks>
      </View>
    ) : (
      strip
    );
  if (trouble) {
    return (
      <Panel title="No plan yet">
        <Text role="alert">
          {trouble === 'failed'
            ? 'It could not be worked out just now. Change something, or open the page again.'
            : routeTroubleText(trouble, route, rig, units)}
        </Text>
        {picture}
      </Panel>
    );
  }
  if (!answer || !plan || !before) {
    return (
      <Panel title="The day">
        {picture}
        <Loading />
      </Panel>
    );
  }
  const late = lateText(plan, stretches);
  const needsClock =
    route.startsAtMin === null &&
    stretches.some(({ opensAtMin, closesAtMin }) => opensAtMin !== null || closesAtMin !== null);
  const verdict = verdictText(answer, plan, units);
  const begins = startText(planned.startKnown);
  const { kind } = familyOf(rig.family);
  return (
    <Panel title={PLAN_WORDS[route.plan].name}>
      <Text as="numeral">{planFigure(plan)}</Text>
      <Text as="strong">{planned.pending ? 'Working out the change …' : capital(planNote(plan))}</Text>
      {late !== undefined && (
        <Text role="alert" tone="rust">
          {late}
        </Text>
      )}
      {needsClock && (
        <Text role="alert" tone="rust">
          Say when the day begins: without that nothing is held against the tide or the light.
        </Text>
      )}
      {verdict !== '' && <Text>{verdict}</Text>}
      <Text as="small" tone="muted">
        Pace and chances are our estimates.
      </Text>
      {begins !== undefined && (
        <Text as="small" tone="muted">
          {begins}
        </Text>
      )}
      {picture}
      <Text as="small" tone="rust">
        {kind === 'bicycle'
          ? 'A soft tire folds in a fast turn, and lets a square edge through to the rim.'
          : 'Soft tires go slow, and never onto pavement: they overheat and can fail.'}
      </Text>
    </Panel>
  );
}

/** What comes of a route at length: the stops, where the time goes, and what it is held against. */
export function RouteDetails({ route, rig, planned, units }: Omit<RouteResultProps, 'profile' | 'onMoveMark'>) {
  const palette = usePalette();
  const { answer, before } = planned;
  const plan = answer?.plans[route.plan];
  if (!answer || !plan || !before) return null;
  const { stretches, startsAtMin: beginsMin } = route;
  const missing = missingLines(answer);
  return (
    <>
      <Panel title="Along the way">
        {stretches.map((stretch, index) => {
          const leg = plan.legs[index]!;
          const stop = stopText(plan.legs, index, before, units);
          return (
            <View key={stretch.id} role="group" aria-label={`Stretch ${index + 1}`} style={styles.leg}>
              {stop !== undefined && (
                <View style={[styles.stop, { borderColor: palette.ink, backgroundColor: palette.mossWash }]}>
                  <Text as="strong">{stop}</Text>
                </View>
              )}
              <View style={styles.line}>
                <Text as="strong" style={styles.name}>{`${index + 1}. ${groundName(stretch.groundCode)}`}</Text>
                <Text as="figure">{settingText(leg.setting, units)}</Text>
              </View>
              <Text as="small" tone="muted">
                {`${stretchText(stretch, rig, units)} · ${speed(leg.kmh, units)}${beginsMin === null ? '' : ` · through at ${clockText(beginsMin + leg.untilMin)}`}`}
              </Text>
              {legWarning(leg, units) !== undefined && (
                <Text as="small" tone="rust">
                  {legWarning(leg, units)}
                </Text>
              )}
              {keptHard(leg) && (
                <Text as="small" tone="muted">
                  {KEPT_HARD}
                </Text>
              )}
              {leg.bogChance >= 0.03 && (
                <Text as="small" tone="rust">{`Gets through ${ofHundred(leg.bogChance)}.`}</Text>
              )}
            </View>
          );
        })}
      </Panel>
      {answer.robustness && route.plan === 'quickest' && (
        <Panel title="If the ground is not as thought">
          <Text>{robustText(answer.robustness, stretches, units)}</Text>
        </Panel>
      )}
      <Panel title="Where the time goes">
        <Lines lines={minutesLines(plan)} />
        {wearLines(plan, units).length > 0 && (
          <Text as="label" tone="muted">
            Beside the time
          </Text>
        )}
        <Lines lines={wearLines(plan, units)} />
      </Panel>
      <Panel title="Side by side">
        <SideBySide {...sideBySide(answer, units)} />
        {missing.map((text) => (
          <Text key={text} as="small" tone="muted">
            {text}
          </Text>
        ))}
      </Panel>
      <Panel title="Mind">
        <Text as="small" tone="rust">
          Sidewall, placard, local law and a qualified tire fitter overrule this plan.
        </Text>
        <Text as="small" tone="muted">
          How fast one drives, how likely ground is to hold you and what getting out takes are our estimates: say your
          own above. Being stuck counts as often as it is likely, at the pressure that stands there.
        </Text>
      </Panel>
      <Unfold label="Day sheet: print, PDF, text">
        {() => {
          const sheet = daySheet(route, rig, answer, plan, before, units);
          return (
            <>
              <SheetActions sheet={sheet} name={route.name} paper="A4" />
              <SheetView sheet={sheet} />
            </>
          );
        }}
      </Unfold>
    </>
  );
}

/** Ways in rows, minutes in columns. */
const SideBySide = ({ head, rows }: ReturnType<typeof sideBySide>) => (
  <Table
    label="Plans side by side"
    columns={head.map((text, index) => ({ head: text, as: index === 1 ? 'strong' : 'small', tone: 'ink' }))}
    rows={rows.map((cells) => ({ key: cells[0]!, cells }))}
  />
);

function Lines({ lines }: { readonly lines: readonly (readonly [string, string])[] }) {
  return lines.map(([name, value]) => (
    <View key={name} style={styles.line}>
      <Text style={styles.name}>{name}</Text>
      <Text as="figure">{value}</Text>
    </View>
  ));
}

const styles = StyleSheet.create({
  strip: { width: '100%', maxWidth: 391, alignSelf: 'center' },
  leg: { gap: 2 },
  stop: { borderLeftWidth: 4, paddingHorizontal: 10, paddingVertical: 6, marginVertical: 4 },
  line: { flexDirection: 'row', gap: 10, alignItems: 'baseline' },
  name: { flex: 1 },
  first: { flex: 4 },
  cell: { flex: 3 },
  ruled: { borderTopWidth: 1, paddingVertical: 4 },
});
