import { MOST_STRETCHES, MOST_TRACK_POINTS, type RigRow, type RouteBody, type RouteRow } from '@dunlinmoss/contract';
import { familyOf, groundsFor, ROUTE_PLANS, STUCK, trackProfile, USUAL_BOG_MIN, USUAL_PRICES } from '@dunlinmoss/core';
import { marksOf, newStretch, onceMore, trackStretches, USUAL_DAY, USUAL_PULL_OVER_MIN } from '@dunlinmoss/domain';
import { startTransition, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { newId } from '../../data/newId';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { FilePicker } from '../../components/FilePicker';
import { fileName, giveFile } from '../../components/files';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { RowClock, RowNumber, RowText, usePicked } from '../../forms/fields';
import { useFormRow, useRowForm, type OpenForm } from '../../forms/useRowForm';
import { rememberTool, toolsFor } from '../../hooks/toolChoice';
import { useRoutePlan, type RouteToolCodes } from '../../hooks/useRoutePlan';
import { unitsFor, unitsStore, type Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { groundName } from '../../words/grounds';
import { PLAN_WORDS, planFigure, planNote } from '../../words/route';
import { way } from '../../words/way';
import { routeGeoJson, routeGpx } from '../../words/routeFile';
import { savedText } from '../../words/saved';
import { TOOL_WORDS } from '../../words/tools';
import { TRACK_PROBLEMS } from '../../words/trackProblems';
import { openTrack } from '../../workers/trackWork';
import { useRouter } from '../../hooks/useRouter';
import { RouteDetails, RouteHeadline } from './RouteResult';
import { StretchFields } from './StretchFields';

interface RouteFormProps {
  readonly row: RouteRow | undefined;
  readonly rig: RigRow;
}

/** Lengths to pick for the next stretch, m. */
const LENGTHS = [500, 1_000, 2_000, 5_000, 10_000, 20_000] as const;

/** The road out and the ground that brought one here, or the day that such rigs most often have. */
const blankRoute = (rig: RigRow): Omit<RouteBody, 'id'> => ({
  revision: 0,
  name: `A day with ${rig.name}`.slice(0, 60),
  rigId: rig.id,
  keptAt: new Date().toISOString(),
  startsAtMin: null,
  plan: 'quickest',
  bogMin: null,
  pullOverMin: null,
  central: false,
  prices: { harsh: null, pressed: null, soft: null },
  stretches: USUAL_DAY[familyOf(rig.family).kind].map(({ groundCode, lengthM }) =>
    newStretch(newId(), groundCode, lengthM),
  ),
  track: null,
  drive: null,
});

/** A day put together: its stretches, tapped or from a file, and what is to be set on each. */
export function RouteForm({ row, rig }: RouteFormProps) {
  const router = useRouter();
  const wide = useWide();
  const units = unitsFor(unitsStore.use(), rig.family);
  const form = useRowForm('routes', {
    draft: `route:${row?.id ?? `new:${rig.id}`}`,
    row,
    blank: () => blankRoute(rig),
    units,
    onSaved: (outcome, body) => {
      notify(savedText(outcome, body.name, 'kept'));
      if (body.drive) router.navigate({ pathname: '/', params: { rig: rig.id } });
      else router.replace({ pathname: '/ground/route/[id]', params: { id: body.id } });
    },
  });
  const body = useFormRow(form);
  const [plan, pickPlan] = usePicked<RouteBody, RouteBody['plan']>(form, '/plan');
  const [picked, setPicked] = useState<Partial<RouteToolCodes>>({});
  const [tapping, setTapping] = useState(body.stretches.length === 0);
  // The whole of it, also while it is under way: that is what is changed here.
  const planned = useRoutePlan({ ...body, drive: null }, rig, units, picked);
  const profile = useMemo(
    () =>
      body.track
        ? trackProfile(body.track.map(([lonDeg, latDeg, elevationM]) => ({ lonDeg, latDeg, elevationM })))
        : undefined,
    [body.track],
  );
  const { answer } = planned;
  const drive = (): void => {
    form.change((now) => ({ ...now, row: { ...now.row, drive: { startedAt: new Date().toISOString(), at: 0 } } }));
    void form.submit().then(() => {
      // Refused, it is not under way.
      form.change((now) => ({ ...now, row: { ...now.row, drive: null } }));
    });
  };
  const moveMark = (id: string, share: number): void => {
    if (!profile) return;
    const endM = profile.alongM.at(-1)!;
    form.change((now) => {
      const marks = marksOf(now.row.stretches, endM).map((mark) =>
        mark.id === id ? { ...mark, fromM: share * endM } : mark,
      );
      return { ...now, row: { ...now.row, stretches: trackStretches(profile, marks, now.row.stretches) } };
    });
  };
  const gpx = routeGpx(body);
  const headline = (
    <RouteHeadline
      route={body}
      rig={rig}
      planned={planned}
      units={units}
      profile={profile}
      onMoveMark={profile ? moveMark : undefined}
    />
  );
  return (
    <Page
      title="A day’s route"
      result={
        <>
          {wide && headline}
          <RouteDetails route={body} rig={rig} planned={planned} units={units} />
        </>
      }
      action={
        <View style={styles.foot}>
          <View style={styles.half}>
            <Action label={row ? 'Save it' : 'Keep it'} onPress={() => void form.submit()} />
          </View>
          <View style={styles.half}>
            <Action kind="main" label="Drive it" disabled={!answer} onPress={drive} />
          </View>
        </View>
      }
    >
      {!wide && headline}
      <Text tone="muted">{`${rig.name}: the stretches of the day, in order.`}</Text>
      {body.stretches.map((stretch, index) => (
        <StretchFields
          key={stretch.id}
          form={form}
          index={index}
          stretch={stretch}
          count={body.stretches.length}
          rig={rig}
          units={units}
          onTrack={profile !== undefined}
        />
      ))}
      {body.stretches.length < MOST_STRETCHES && (
        <Unfold key={String(tapping)} label="Add a stretch" startsOpen={tapping}>
          <AddStretch form={form} rig={rig} units={units} onTrack={profile} count={body.stretches.length} />
        </Unfold>
      )}
      {!row && !profile && body.stretches.length > 0 && (
        <Action
          label="Begin with none"
          onPress={() => {
            form.change((now) => ({ texts: {}, row: { ...now.row, stretches: [] } }));
            setTapping(true);
          }}
        />
      )}
      {answer && (
        <Choice
          label="Which plan"
          layout="list"
          value={plan}
          options={ROUTE_PLANS.map((code) => ({
            code,
            name: PLAN_WORDS[code].name,
            note: `${PLAN_WORDS[code].note}: ${planNote(answer.plans[code])}`,
            figure: planFigure(answer.plans[code]),
          }))}
          onChange={pickPlan}
        />
      )}
      <Unfold label="Begins, tools, what a stop takes" value={undefined}>
        <RowClock
          form={form}
          at="/startsAtMin"
          label="The day begins at"
          hint="For tides and daylight; empty where none matters."
        />
        <Tools rig={rig} codes={planned.tools} onPick={setPicked} />
        <Central form={form} />
        <RowNumber
          form={form}
          at="/pullOverMin"
          label="Pulling over and putting away, each stop"
          unit="min"
          hint={`Empty goes by ${USUAL_PULL_OVER_MIN[familyOf(rig.family).kind]} min. Pumping, walking and rests come on top, by your tools.`}
        />
        <RowNumber
          form={form}
          at="/bogMin"
          label="Getting out once stuck"
          unit="min"
          hint={`Empty goes by ${USUAL_BOG_MIN[familyOf(rig.family).kind]} min: our guess. Alone, or with a tide coming in, say more.`}
        />
      </Unfold>
      <Unfold label="What else has a price">
        <Text as="small" tone="muted">
          Minutes you would give to be spared a kilometer at twice what the ground asks for.
        </Text>
        <RowNumber
          form={form}
          at="/prices/harsh"
          label="Shaken: too hard on rough ground"
          unit="min"
          hint={`Empty: ${USUAL_PRICES.harsh}.`}
        />
        <RowNumber
          form={form}
          at="/prices/pressed"
          label="Soil pressed: too hard on a field"
          unit="min"
          hint={`Empty: ${USUAL_PRICES.pressed}.`}
        />
        <RowNumber
          form={form}
          at="/prices/soft"
          label="Tires bent: softer than it asks for"
          unit="min"
          hint={`Empty: ${USUAL_PRICES.soft}.`}
        />
      </Unfold>
      <FromFile form={form} rig={rig} />
      <RowText form={form} at="/name" label="Called" />
      <View style={styles.files}>
        {gpx !== undefined && (
          <Action
            icon="download"
            label="Track (GPX)"
            onPress={() => giveFile(fileName(body.name, 'gpx'), new Blob([gpx], { type: 'application/gpx+xml' }))}
          />
        )}
        <Action
          icon="download"
          label="Route (GeoJSON)"
          onPress={() =>
            giveFile(
              fileName(body.name, 'geojson'),
              new Blob([routeGeoJson(body, answer?.plans[plan])], { type: 'application/geo+json' }),
            )
          }
        />
      </View>
      {row && (
        <Action
          kind="hurt"
          icon="trash"
          label="Archive this route"
          onPress={() =>
            void form.archive?.(row.name, () => router.navigate({ pathname: '/ground/day', params: { rig: rig.id } }))
          }
        />
      )}
    </Page>
  );
}

interface AddProps {
  readonly form: OpenForm<RouteBody>;
  readonly rig: RigRow;
  readonly units: Units;
  readonly onTrack: ReturnType<typeof trackProfile> | undefined;
  /** How many stretches there are. */
  readonly count: number;
}

/** The next stretch: how long, then a tap on its ground. On a track it is the second half of the last one. */
function AddStretch({ form, rig, units, onTrack, count }: AddProps) {
  const palette = usePalette();
  const [lengthM, setLengthM] = useState<number>(LENGTHS[3]);
  const family = familyOf(rig.family);
  const add = (groundCode: RouteBody['stretches'][number]['groundCode']): void => {
    form.change((now) => {
      const stretch = newStretch(newId(), groundCode, lengthM);
      const { stretches } = now.row;
      if (!onTrack) return { ...now, row: { ...now.row, stretches: [...stretches, stretch] } };
      const endM = onTrack.alongM.at(-1)!;
      const marks = marksOf(stretches, endM);
      const fromM = (marks.at(-1)!.fromM + endM) / 2;
      const all = [...marks, { id: stretch.id, groundCode, fromM }];
      return { ...now, row: { ...now.row, stretches: trackStretches(onTrack, all, stretches) } };
    });
  };
  return (
    <View role="group" aria-label="Add a stretch" style={styles.add}>
      {!onTrack && (
        <Choice
          label="The next stretch is"
          value={String(lengthM)}
          options={LENGTHS.map((each) => ({ code: String(each), name: way(each, units) }))}
          onChange={(code) => setLengthM(Number(code))}
        />
      )}
      <Text as="label" tone="muted">
        {onTrack ? 'Then comes, to be dragged to its place' : 'of'}
      </Text>
      <View style={styles.grounds}>
        {groundsFor(family)
          .filter((code) => code !== STUCK)
          .map((code) => (
            <Press
              key={code}
              aria-label={`Add ${groundName(code).toLowerCase()}`}
              onPress={() => add(code)}
              style={[styles.ground, { borderColor: palette.moss, backgroundColor: palette.card }]}
            >
              <Text tone="moss">{`+ ${groundName(code)}`}</Text>
            </Press>
          ))}
      </View>
      {!onTrack && count > 1 && count * 2 <= MOST_STRETCHES && (
        <Action
          label="The same round once more"
          onPress={() =>
            form.change((now) => ({ ...now, row: { ...now.row, stretches: onceMore(now.row.stretches, newId) } }))
          }
        />
      )}
    </View>
  );
}

function Tools({
  rig,
  codes,
  onPick,
}: {
  readonly rig: RigRow;
  readonly codes: RouteToolCodes;
  readonly onPick: (update: (before: Partial<RouteToolCodes>) => Partial<RouteToolCodes>) => void;
}) {
  const { rows: own } = useRows('tools');
  return (['out', 'in'] as const).map((way) => {
    const options = toolsFor(way, own);
    const nameOf = ({ used }: (typeof options)[number]): string => used.tool?.name ?? TOOL_WORDS[used.kind].name;
    const current = options.find(({ code }) => code === codes[way]);
    return (
      <Unfold key={way} label={way === 'out' ? 'Let out with' : 'Pump up with'} value={current ? nameOf(current) : ''}>
        {(close) => (
          <Choice
            label={way === 'out' ? 'Let out with' : 'Pump up with'}
            layout="list"
            value={codes[way]}
            options={options.map((option) => ({ code: option.code, name: nameOf(option) }))}
            onChange={(code) => {
              rememberTool(way, rig.id, code);
              onPick((before) => ({ ...before, [way]: code }));
              close();
            }}
          />
        )}
      </Unfold>
    );
  });
}

function Central({ form }: { readonly form: OpenForm<RouteBody> }) {
  const [central, pick] = usePicked<RouteBody, boolean>(form, '/central');
  return (
    <Toggle
      label="Central inflation"
      note="Pressures change while it drives: no stop is needed for it"
      value={central}
      onChange={pick}
    />
  );
}

/** A recorded or drawn track instead of taps: its length and climbs are taken from it. */
function FromFile({ form, rig }: { readonly form: OpenForm<RouteBody>; readonly rig: RigRow }) {
  const [reading, setReading] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [told, setTold] = useState<string>();
  const take = async (file: File): Promise<void> => {
    setReading(true);
    setProblem(undefined);
    setTold(undefined);
    try {
      const read = await openTrack(file, MOST_TRACK_POINTS);
      if (!read.ok) {
        setProblem(TRACK_PROBLEMS[read.code]);
        return;
      }
      const profile = trackProfile(read.points);
      startTransition(() =>
        form.change((now) => {
          const [first] = now.row.stretches;
          const marks = marksOf(
            now.row.stretches.length > 0
              ? now.row.stretches
              : [newStretch(newId(), groundsFor(familyOf(rig.family))[0]!)],
            profile.alongM.at(-1)!,
          );
          return {
            texts: Object.fromEntries(Object.entries(now.texts).filter(([at]) => !at.startsWith('/stretches/'))),
            row: {
              ...now.row,
              ...(read.name !== null &&
                first &&
                now.row.revision === 0 && { name: read.name.slice(0, 60) || now.row.name }),
              track: read.points.map(({ lonDeg, latDeg, elevationM }) => [lonDeg, latDeg, elevationM]),
              stretches: trackStretches(profile, marks, now.row.stretches),
            },
          };
        }),
      );
      setTold(
        `${read.read} points read${read.read > read.points.length ? `, thinned to ${read.points.length}` : ''}. Drag the marks to where each ground begins.`,
      );
    } catch {
      setProblem('The file could not be read just now. Try it once more.');
    } finally {
      setReading(false);
    }
  };
  return (
    <View style={styles.add}>
      <FilePicker
        kind="quiet"
        label={reading ? 'Reading it …' : 'From a track (GPX, GeoJSON)'}
        accept=".gpx,.geojson,.json,application/gpx+xml,application/geo+json"
        onPick={(file) => void take(file)}
      />
      {problem !== undefined && (
        <Text role="alert" tone="rust">
          {problem}
        </Text>
      )}
      {told !== undefined && <Text as="small">{told}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', gap: 8 },
  half: { flex: 1 },
  add: { gap: 8 },
  grounds: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  ground: { borderWidth: 1.5, borderRadius: 3, paddingHorizontal: 12, justifyContent: 'center' },
  files: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
