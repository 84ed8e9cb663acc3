import { bodyOf, type Airing, type AiringRow, type AiringRunBody, type AiringWheel } from '@dunlinmoss/contract';
import { outToolOf, sameWheel, wheelKey, type WheelRef } from '@dunlinmoss/core';
import {
  airingAfter,
  allSettled,
  gaugeStepKpa,
  nextWheel,
  onGauge,
  predictionOf,
  pressuresAfter,
  progressOf,
  startsWith,
  toReadWith,
  wheelsAtOnceOf,
  type AiringStep,
} from '@dunlinmoss/domain';
import { useState } from 'react';

import { markRun, runIsTimed, useNow } from '../../data/clock';
import { save } from '../../data/outbox';
import { saveOuting } from '../../data/outings';
import { archiveRow } from '../../data/rows';
import { useWakeLock } from '../../data/wakeLock';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Text } from '../../components/Text';
import { MIND_IN } from '../../words/air';
import type { AirJob } from '../../hooks/useAirJob';
import { useRouter } from '../../hooks/useRouter';
import { useSimulatedGauge } from './useSimulatedGauge';
import { AiringNotes, AllDone } from './AiringNotes';
import { WheelList } from './WheelList';
import { WheelNow } from './WheelNow';

interface AiringUnderWayProps {
  readonly job: AirJob;
  readonly airing: AiringRow;
  readonly title: string;
}

const runKey = ({ id }: Airing, run: Pick<AiringRunBody, 'position' | 'wheel' | 'startedAt'>): string =>
  `${id} ${wheelKey(run)} ${run.startedAt}`;

const now = (): string => new Date().toISOString();

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
  const nowMs = useNow(running);
  useWakeLock(true);
  const [picked, setPicked] = useState<WheelRef>();
  const shows = useSimulatedGauge(rig.id);

  const at: WheelRef | undefined = picked ?? nextWheel(progress);
  const current = at && progress.find(({ wheel }) => sameWheel(wheel, at));
  const tool = airing.way === 'out' ? outToolOf(airing.toolKind) : undefined;
  const hoses = wheelsAtOnceOf(used);
  const together = hoses > 1 && (airing.way === 'in' || tool?.levels === true);
  const walksOn = tool?.stopsItself === true && hoses > 1;
  const finished = allSettled(progress);

  const keep = async (next: Airing): Promise<void> => {
    const saved = await save('airings', next, airing);
    if (saved.kind === 'refused') notify(saved.problem.title);
    else if (saved.kind === 'saved' && saved.merged) {
      notify('Another phone is on this too: both are put together, nothing is lost.');
    }
  };
  /** One more step, kept as it is tapped; the wheel to stand at next, or the one that comes by itself. */
  const go = (step: AiringStep, then?: WheelRef): void => {
    void keep(airingAfter(airing, step));
    setPicked(then);
  };

  /** Opens the wheels, each from what was read on it. */
  const start = (wheels: readonly { readonly wheel: AiringWheel; readonly beforeKpa: number }[]): void => {
    const at = new Date().toISOString();
    for (const { wheel } of wheels) markRun(runKey(airing, { ...wheel, startedAt: at }));
    const opened = wheels.map(({ wheel }) => wheel);
    // A deflator that stops by itself is left on: on to the next wheel.
    const next = progress.find(
      ({ state, wheel }) => state === 'waiting' && !opened.some((each) => sameWheel(each, wheel)),
    );
    go({ step: 'open', at, wheels }, (walksOn ? next?.wheel : undefined) ?? opened[0]);
    void shows.flow(opened, airing.way, used);
  };
  const stop = (wheels: readonly WheelRef[]): void => {
    const timed = (run: AiringRunBody): boolean => runIsTimed(runKey(airing, run), run.startedAt);
    go({ step: 'close', at: now(), wheels, timed }, wheels[0]);
    void shows.flow(wheels, 'none', used);
  };
  const read = (wheel: WheelRef, afterKpa: number): void => {
    const step = { step: 'read', wheels: toReadWith(airing, wheel, together, stepKpa), afterKpa } as const;
    const after = progressOf(airingAfter(airing, step), stepKpa).find((each) => sameWheel(each.wheel, wheel))!;
    go(step, after.state === 'done' ? undefined : wheel);
  };

  /** Nothing was opened and nothing read: it leaves no trace. */
  const forgetEmpty = async (): Promise<void> => {
    await archiveRow('airings', row);
    notify('No wheel was touched: nothing is kept of it.');
    router.navigate({ pathname: '/air', params: { rig: rig.id } });
  };

  const finish = async (): Promise<void> => {
    if (airing.runs.length === 0) return forgetEmpty();
    await keep({ ...airing, endedAt: now() });
    // Where every wheel was skipped, nothing was set.
    if (outing && progress.some(({ state }) => state === 'done')) {
      const pressures = pressuresAfter(progress, outing.pressures, (kpa) => onGauge(kpa, units));
      const saved = await saveOuting(
        outing,
        airing.way === 'out'
          ? { state: 'lowered', stuckRung: 0, pressures, pressuresAt: airing.startedAt }
          : { stuckRung: 0, ...(pressures.length > 0 && { pressures, pressuresAt: airing.startedAt }) },
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
    if (airing.runs.length === 0) return void forgetEmpty();
    void keep(airingAfter(airing, { step: 'end', at: now() }));
    notify('Ended here. What was read is kept.', () => void keep(airing));
  };

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
            nowS={nowMs / 1000}
            units={units}
            at={current?.wheel}
            onPick={setPicked}
          />
          <AiringNotes job={job} airing={airing} used={used} prediction={prediction} onEnd={leave} />
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
          now={nowMs}
          shows={shows}
          group={together ? startsWith(progress, current.wheel, stepKpa, hoses) : []}
          onStart={start}
          onStop={() =>
            stop(together ? progress.flatMap(({ running: run, wheel }) => (run ? [wheel] : [])) : [current.wheel])
          }
          onRead={(kpa) => read(current.wheel, kpa)}
          onReadAlone={(shownKpa) => go({ step: 'readAlone', at: now(), wheel: current.wheel, shownKpa })}
          onAccept={(shownKpa) => go({ step: 'readAlone', at: now(), wheel: current.wheel, shownKpa, accepted: true })}
          onSettle={(settled) => go({ step: 'settle', at: now(), wheel: current.wheel, settled })}
        />
      ) : (
        <AllDone airing={airing} progress={progress} units={units} />
      )}
    </Page>
  );
}
