import type { Airing, AiringWheel } from '@dunlinmoss/contract';
import { gaugeStepKpa, type Prediction, type WheelProgress } from '@dunlinmoss/domain';
import type { ReactNode } from 'react';

import { Action } from '../../components/Action';
import { Text } from '../../components/Text';
import type { AirJob } from '../../hooks/useAirJob';
import { pressure } from '../../words/format';
import type { Shows } from './useSimulatedGauge';

export interface WheelNowProps {
  readonly airing: Airing;
  readonly progress: WheelProgress;
  readonly prediction: Prediction;
  readonly job: AirJob;
  /** Epoch, ms. */
  readonly now: number;
  readonly shows: Shows;
  /** The wheels that go together with this one; none for a tool on one wheel. */
  readonly group: readonly WheelProgress[];
  readonly onStart: (starts: readonly { readonly wheel: AiringWheel; readonly beforeKpa: number }[]) => void;
  readonly onStop: () => void;
  readonly onRead: (afterKpa: number) => void;
  /** Read once more, after it was put right by hand. */
  readonly onReadAlone: (afterKpa: number) => void;
  /** Nothing to do here: it reads so much, and stays. */
  readonly onAccept: (readsKpa: number) => void;
  readonly onSettle: (settled: 'accepted' | 'skipped') => void;
}

interface WheelActionsProps extends WheelNowProps {
  readonly field: ReactNode;
  readonly readGauge: ReactNode;
  /** What the gauge shows; undefined where that is no reading. */
  readonly shownKpa: number | undefined;
  /** The same, corrected for the gauge. */
  readonly trueKpa: number | undefined;
}

/** The one button that comes next at this wheel, and what to know before it. */
export function WheelActions(props: WheelActionsProps) {
  const { airing, progress, job, group, field, readGauge, shownKpa, trueKpa } = props;
  const { onStart, onStop, onRead, onReadAlone, onAccept, onSettle } = props;
  const { units } = job;
  const { wheel, state, readKpa } = progress;
  const out = airing.way === 'out';
  // Out of a wheel that is down already, or into one that is up, there is nothing to start.
  const past = trueKpa !== undefined && (out ? trueKpa <= wheel.targetKpa + 1e-6 : trueKpa >= wheel.targetKpa - 1e-6);
  // Hoses join the wheels they are on: what is read on one is in all of them.
  const starts = (group.length > 0 ? group : [progress]).map((each) => ({ wheel: each.wheel, beforeKpa: shownKpa! }));
  const verb = out ? 'Let out' : 'Pump';

  return state === 'running' ? (
    <>
      <Action kind="main" label={group.length > 0 ? 'Stop all' : 'Stop'} onPress={onStop} />
      <Action label="Skip this wheel" onPress={() => onSettle('skipped')} />
    </>
  ) : state === 'toRead' ? (
    <>
      {field}
      {readGauge}
      <Action
        kind="main"
        label={shownKpa === undefined ? 'Keep this reading' : `It reads ${pressure(shownKpa, units)}: keep that`}
        disabled={shownKpa === undefined}
        onPress={() => onRead(shownKpa!)}
      />
    </>
  ) : state === 'overshot' ? (
    <>
      <Text>
        {out
          ? `It is past it, by ${pressure(wheel.targetKpa - readKpa!, units)}. Put a little back, or leave it if it is above the floor.`
          : `It is past it, by ${pressure(readKpa! - wheel.targetKpa, units)}. Let a little out, or leave it if it is below the sidewall maximum.`}
      </Text>
      {field}
      {readGauge}
      <Action
        label="Corrected: keep this reading"
        disabled={shownKpa === undefined}
        onPress={() => onReadAlone(shownKpa!)}
      />
      <Action kind="main" label="Leave it as it is" onPress={() => onSettle('accepted')} />
    </>
  ) : state === 'done' || state === 'skipped' ? (
    <>
      <Text>
        {state === 'done'
          ? 'On its number. To do it again, read it first.'
          : 'Skipped. To do it after all, read it first.'}
      </Text>
      {field}
      {readGauge}
      <Action
        label={`${verb} from there`}
        disabled={shownKpa === undefined || past}
        onPress={() => onStart([{ wheel, beforeKpa: shownKpa! }])}
      />
    </>
  ) : (
    <>
      {field}
      {readGauge}
      {past && Math.abs(trueKpa - wheel.targetKpa) > gaugeStepKpa(units) / 2 + 1e-6 && (
        <Text>
          {out
            ? `It has ${pressure(wheel.targetKpa - trueKpa, units)} less than that already: pump it up, or leave it if it is above the floor.`
            : `It has ${pressure(trueKpa - wheel.targetKpa, units)} more than that already: let some out while it is cold, or leave it.`}
        </Text>
      )}
      {past ? (
        <Action
          kind="main"
          label={
            Math.abs(trueKpa - wheel.targetKpa) > gaugeStepKpa(units) / 2 + 1e-6
              ? 'Leave it as it is: next wheel'
              : 'There already: next wheel'
          }
          onPress={() => onAccept(shownKpa!)}
        />
      ) : (
        <Action
          kind="main"
          label={group.length > 1 ? `Start all ${group.length}` : 'Start'}
          disabled={shownKpa === undefined}
          onPress={() => onStart(starts)}
        />
      )}
      <Action label="Skip this wheel" onPress={() => onSettle('skipped')} />
    </>
  );
}
