import type { Airing } from '@dunlinmoss/contract';
import { creepsBackKpa, READ_AGAIN_S, wheelKey } from '@dunlinmoss/core';
import {
  gaugeStepKpa,
  progressOf,
  runProblems,
  type Prediction,
  type ToolUsed,
  type WheelProgress,
} from '@dunlinmoss/domain';

import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { AirJob } from '../../hooks/useAirJob';
import { duration, runProblemText, wheelName } from '../../words/air';
import { pressure, pressureFine } from '../../words/format';
import { TOOL_WORDS } from '../../words/tools';

interface AiringNotesProps {
  readonly job: AirJob;
  readonly airing: Airing;
  readonly used: ToolUsed;
  readonly prediction: Prediction;
  readonly onEnd: () => void;
}

/** How sure the times are, what the gauge will do afterwards, and which runs can't be right. */
export function AiringNotes({ job, airing, used, prediction, onEnd }: AiringNotesProps) {
  const { units, outsideKpaAbs } = job;
  const stepKpa = gaugeStepKpa(units);
  const creeps = progressOf(airing, stepKpa).flatMap(({ wheel, runs }) => {
    const fromKpa = runs[0]?.beforeKpa;
    if (fromKpa === undefined) return [];
    const openS = prediction.seconds(wheel, fromKpa, wheel.targetKpa);
    return [creepsBackKpa(fromKpa, wheel.targetKpa, openS, outsideKpaAbs)];
  });
  const creepsKpa = airing.way === 'in' ? 0 : Math.max(0, ...creeps);
  return (
    <Panel title={used.tool?.name ?? TOOL_WORDS[used.kind].name}>
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
      <Action label="End here" onPress={onEnd} />
    </Panel>
  );
}

interface AllDoneProps {
  readonly airing: Airing;
  readonly progress: readonly WheelProgress[];
  readonly units: AirJob['units'];
}

/** What every wheel came to, and how long it took. */
export function AllDone({ airing, progress, units }: AllDoneProps) {
  const begunMs = Date.parse(airing.startedAt);
  const endedMs = Math.max(begunMs, ...airing.runs.map((run) => Date.parse(run.endedAt ?? run.startedAt)));
  return (
    <Panel title={airing.way === 'out' ? 'All down' : 'All up'}>
      {progress.map(({ wheel, state, readKpa }) => (
        <Text key={wheelKey(wheel)}>
          {`${wheelName(wheel)}: ${state === 'skipped' ? 'skipped' : pressure(readKpa ?? wheel.targetKpa, units)}`}
        </Text>
      ))}
      <Text as="small" tone="muted">{`In ${duration((endedMs - begunMs) / 1000)}.`}</Text>
    </Panel>
  );
}
