import { bodyOf, type Airing, type AiringRow, type AiringRunBody, type AiringWheel } from '@dunlinmoss/contract';
import { creepsBackKpa, outToolOf, READ_AGAIN_S, sameWheel, wheelKey, type WheelPlace } from '@dunlinmoss/core';
import {
  allSettled,
  gaugeStepKpa,
  nextWheel,
  onGauge,
  predictionOf,
  progressOf,
  runProblems,
  type WheelProgress,
} from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';

import { saveAiring } from '../../data/airings';
import { markRun, runIsTimed, useNow } from '../../data/clock';
import { saveOuting } from '../../data/outings';
import { useWakeLock } from '../../data/wakeLock';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { duration, MIND_IN, runProblemText, wheelName } from '../../words/air';
import { pressure, pressureFine } from '../../words/format';
import { TOOL_WORDS } from '../../words/tools';
import type { AirJob } from '../../hooks/useAirJob';
import { useSimulatedGauge } from './useSimulatedGauge';
import { WheelList } from './WheelList';
import { WheelNow } from './WheelNow';

interface AiringUnderWayProps {
  readonly job: AirJob;
  readonly airing: AiringRow;
  readonly title: string;
}

const runKey = (airing: Airing, run: Pick<AiringRunBody, 'position' | 'wheel' | 'startedAt'>): string =>
  `${airing.id} ${wheelKey(run)} ${run.startedAt}`;

/** Air going out or in, wheel by wheel: start, stop, read; everything by the clock, everything kept as it is tapped. */
export function AiringUnderWay({ job, airing: row, title }: AiringUnderWayProps) {
  const router = useRouter();
  const { units, outing, rig } = job;
  const airing = bodyOf('airings', row);
  const stepKpa = gaugeStepKpa(units);
  const progress = progressOf(airing, stepKpa);
  const used = { kind: airing.toolKind, tool: job.tools.find(({ id }) => id === airing.toolId) };
  const prediction = predictionOf(airing, used, [airing, ...job.airings.filter(({ id }) => id !== airing.id)]);
  const running = progress.some((each) => each.running);
  const now = useNow(running);
  useWakeLock(true);
  const [picked, setPicked] = useState<WheelPlace>();
  const shows = useSimulatedGauge(rig.id);

  const at: WheelPlace | undefined = picked ?? nextWheel(progress);
  const current = at && progress.find(({ wheel }) => sameWheel(wheel, at));
  const tool = airing.way === 'out' ? outToolOf(airing.toolKind) : undefined;
  const together = tool?.levels === true;
  const walksOn = tool?.stopsItself === true && (used.tool?.wheelsAtOnce ?? tool.wheelsAtOnce) > 1;
  const finished = allSettled(progress);

  const keep = async (change: Partial<Airing>): Promise<void> => {
    const saved = await saveAiring({ ...airing, ...change });
    if (saved.kind === 'refused') notify(saved.problem.title);
    else if (saved.merged) notify('Another phone is on this too: both are put together, nothing is lost.');
  };

  /** Opens the wheels, each from what was read on it. */
  const start = (starts: readonly { readonly wheel: AiringWheel; readonly beforeKpa: number }[]): void => {
    const startedAt = new Date().toISOString();
    const runs = starts.map(({ wheel: { position, wheel }, beforeKpa }): AiringRunBody => {
      const run = { position, wheel, startedAt };
      markRun(runKey(airing, run));
      return { ...run, endedAt: null, beforeKpa, afterKpa: null, timed: true };
    });
    const opened = new Set(starts.map(({ wheel }) => wheelKey(wheel)));
    void keep({
      runs: [...airing.runs, ...runs],
      wheels: airing.wheels.map((wheel) => (opened.has(wheelKey(wheel)) ? { ...wheel, settled: null } : wheel)),
    });
    void shows.flow(
      starts.map(({ wheel }) => wheel),
      airing.way,
      used,
    );
    // A deflator that stops by itself is left on: on to the next wheel.
    setPicked(walksOn ? undefined : starts[0]!.wheel);
    if (walksOn) {
      const next = progress.find(({ state, wheel }) => state === 'waiting' && !opened.has(wheelKey(wheel)));
      setPicked(next?.wheel ?? starts[0]!.wheel);
    }
  };

  const stop = (wheels: readonly WheelPlace[]): void => {
    const endedAt = new Date().toISOString();
    void keep({
      runs: airing.runs.map((run) =>
        run.endedAt === null && wheels.some((wheel) => sameWheel(wheel, run))
          ? {
              ...run,
              endedAt: endedAt > run.startedAt ? endedAt : run.startedAt,
              timed: run.timed && runIsTimed(runKey(airing, run), run.startedAt),
            }
          : run,
      ),
    });
    void shows.flow(wheels, 'none', used);
    setPicked(wheels[0]);
  };

  const read = (wheel: WheelPlace, afterKpa: number): void => {
    // Hoses join the wheels they are on: one reading is that of all.
    const joined = together ? progress.flatMap((each) => (each.state === 'toRead' ? [each.wheel] : [])) : [];
    let runs = airing.runs;
    for (const each of [wheel, ...joined]) {
      const last = runs.findLastIndex((run) => sameWheel(run, each));
      runs = runs.with(last, { ...runs[last]!, afterKpa });
    }
    const next = { ...airing, runs };
    void keep({ runs });
    const state = progressOf(next, stepKpa).find((each) => sameWheel(each.wheel, wheel))!.state;
    setPicked(state === 'done' ? undefined : wheel);
  };

  /** A reading with nothing opened. */
  const readingAlone = ({ position, wheel }: WheelPlace, afterKpa: number): AiringRunBody => {
    const at = new Date().toISOString();
    const last = airing.runs.findLast((run) => sameWheel(run, { position, wheel }));
    const beforeKpa = last ? (last.afterKpa ?? last.beforeKpa) : afterKpa;
    return { position, wheel, startedAt: at, endedAt: at, beforeKpa, afterKpa, timed: false };
  };

  const readAlone = (wheel: WheelPlace, afterKpa: number): void => {
    void keep({ runs: [...airing.runs, readingAlone(wheel, afterKpa)] });
    setPicked(undefined);
  };

  /** It has its number, or is well as it is, with nothing to do: what it reads is kept. */
  const accept = (wheel: WheelPlace, readsKpa: number): void => {
    void keep({
      runs: [...airing.runs, readingAlone(wheel, readsKpa)],
      wheels: airing.wheels.map((each) => (sameWheel(each, wheel) ? { ...each, settled: 'accepted' } : each)),
    });
    setPicked(undefined);
  };

  const settle = (wheel: WheelPlace, settled: 'accepted' | 'skipped'): void => {
    void keep({
      wheels: airing.wheels.map((each) => (sameWheel(each, wheel) ? { ...each, settled } : each)),
      // Left out while it runs: it is stopped as well.
      ...(settled === 'skipped' && {
        runs: airing.runs.map((run) =>
          sameWheel(run, wheel) && run.endedAt === null
            ? { ...run, endedAt: new Date().toISOString(), timed: false }
            : run,
        ),
      }),
    });
    setPicked(undefined);
  };

  const finish = async (): Promise<void> => {
    await keep({ endedAt: new Date().toISOString() });
    if (outing) {
      const pressures = pressuresOf(progress, outing.pressures, units);
      const saved = await saveOuting(
        outing,
        airing.way === 'out'
          ? { state: 'lowered', stuckRung: 0, pressures }
          : { stuckRung: 0, ...(pressures.length > 0 && { pressures }) },
      );
      if (saved.kind === 'refused') notify(saved.problem.title);
    }
    if (airing.way === 'in' && job.family.kind !== 'bicycle') {
      router.navigate({ pathname: '/air/road', params: { rig: rig.id } });
      return;
    }
    notify('Kept, with every reading. It is in the Book.');
    if (outing) router.navigate('/');
    else router.navigate({ pathname: '/air', params: { rig: rig.id } });
  };

  const leave = (): void => {
    void keep({
      endedAt: new Date().toISOString(),
      runs: airing.runs.map((run) =>
        run.endedAt === null ? { ...run, endedAt: new Date().toISOString(), timed: false } : run,
      ),
    });
    notify('Ended here. What was read is kept.', () => void keep({ endedAt: null, runs: airing.runs }));
  };

  const creepsKpa =
    airing.way === 'in'
      ? 0
      : Math.max(
          0,
          ...progress.flatMap(({ wheel, runs }) => {
            const fromKpa = runs[0]?.beforeKpa;
            if (fromKpa === undefined) return [];
            const openS = prediction.seconds(wheel, fromKpa, wheel.targetKpa);
            return [creepsBackKpa(fromKpa, wheel.targetKpa, openS, job.outsideKpaAbs)];
          }),
        );
  const name = used.tool?.name ?? TOOL_WORDS[used.kind].name;
  const done = progress.filter(({ state }) => state === 'done' || state === 'skipped').length;
  return (
    <Page
      title={title}
      action={
        finished ? (
          <Action
            kind="main"
            label={airing.way === 'out' ? 'Every wheel is down: keep it' : 'Every wheel is up: keep it'}
            onPress={() => void finish()}
          />
        ) : undefined
      }
      result={
        <>
          <WheelList
            airing={airing}
            progress={progress}
            prediction={prediction}
            nowS={now / 1000}
            units={units}
            at={current?.wheel}
            onPick={setPicked}
          />
          <Panel title={name}>
            <Text as="small">
              {prediction.timed > 0
                ? `${prediction.timed === 1 ? 'One wheel' : `${prediction.timed} wheels`} timed: the others follow, give or take ${Math.max(1, Math.round(100 * prediction.relativeError))} %.`
                : 'Not timed yet: stop and read one wheel, and every other gets its own time.'}
            </Text>
            {creepsKpa >= stepKpa / 2 && (
              <Text as="small">
                {`Letting out cools the air. Read again ${READ_AGAIN_S / 60} minutes after the last wheel: the gauge creeps up by about ${pressureFine(creepsKpa, units)}. Let that out as well.`}
              </Text>
            )}
            {runProblems(airing).map(({ run, problem }) => (
              <Text key={`${wheelKey(run)} ${run.startedS}`} as="small" tone="rust" role="alert">
                {`${wheelName(run)}: ${runProblemText(problem, units)}`}
              </Text>
            ))}
            <Action label="End here" onPress={leave} />
          </Panel>
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${done} of ${progress.length} wheels done`}</Text>
      {airing.way === 'in' && (
        <Text as="small" tone="rust">
          {MIND_IN[0]}
        </Text>
      )}
      {current && !finished ? (
        <WheelNow
          key={`${wheelKey(current.wheel)} ${current.runs.length} ${current.state}`}
          airing={airing}
          progress={current}
          prediction={prediction}
          job={job}
          now={now}
          shows={shows}
          group={
            together
              ? progress.filter(
                  ({ state, wheel }) =>
                    (state === 'waiting' || state === 'more') &&
                    Math.abs(wheel.targetKpa - current.wheel.targetKpa) < stepKpa / 2,
                )
              : []
          }
          onStart={start}
          onStop={() =>
            stop(together ? progress.flatMap(({ running: run, wheel }) => (run ? [wheel] : [])) : [current.wheel])
          }
          onRead={(kpa) => read(current.wheel, kpa)}
          onReadAlone={(kpa) => readAlone(current.wheel, kpa)}
          onAccept={(kpa) => accept(current.wheel, kpa)}
          onSettle={(settled) => settle(current.wheel, settled)}
        />
      ) : (
        <Panel title={airing.way === 'out' ? 'All down' : 'All up'}>
          {progress.map(({ wheel, state, readKpa }) => (
            <Text key={wheelKey(wheel)}>
              {`${wheelName(wheel)}: ${state === 'skipped' ? 'left out' : pressure(readKpa ?? wheel.targetKpa, units)}`}
            </Text>
          ))}
          <Text
            as="small"
            tone="muted"
          >{`In ${duration((Math.max(...airing.runs.map((run) => Date.parse(run.endedAt ?? run.startedAt)), Date.parse(airing.startedAt)) - Date.parse(airing.startedAt)) / 1000)}.`}</Text>
        </Panel>
      )}
    </Page>
  );
}

/** What each axle has now, cold: the wheels' targets where they were met, what was read where they were not. */
function pressuresOf(
  progress: readonly WheelProgress[],
  before: readonly { readonly position: AiringWheel['position']; readonly pressureKpa: number }[],
  units: AirJob['units'],
) {
  const positions = [...new Set(progress.map(({ wheel }) => wheel.position))];
  return positions.flatMap((position) => {
    const done = progress.filter(({ wheel, state }) => wheel.position === position && state === 'done');
    const old = before.find((each) => each.position === position);
    if (done.length === 0) return old ? [old] : [];
    // A reading off its warm target is as far off the cold one.
    const mean =
      done.reduce(
        (sum, { wheel, readKpa }) => sum + wheel.coldKpa + ((readKpa ?? wheel.targetKpa) - wheel.targetKpa),
        0,
      ) / done.length;
    return [{ position, pressureKpa: onGauge(mean, units) }];
  });
}
