import type { OutingRow } from '@dunlinmoss/contract';
import { wheelKey } from '@dunlinmoss/core';
import { coreRuns, runProblems } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { useRows } from '../data/rows';
import { Panel } from './Panel';
import { Text } from './Text';
import { Unfold } from './Unfold';
import { duration, OCCASION_WORDS, runProblemText, wheelName } from '../words/air';
import { pressure, timeOfDay } from '../words/format';
import { TOOL_WORDS } from '../words/tools';

/** Everything that was timed and read on an outing. */
export function AirOfOuting({ outing, units }: { readonly outing: OutingRow; readonly units: Units }) {
  const { rows: airings } = useRows('airings', { outingId: outing.id });
  const { rows: rounds } = useRows('readings', { outingId: outing.id });
  if (airings.length === 0 && rounds.length === 0) return null;
  return (
    <Panel title="Air">
      {airings.map((airing) => {
        const runs = coreRuns(airing);
        const ended =
          airing.endedAt === null
            ? ''
            : ` in ${duration((Date.parse(airing.endedAt) - Date.parse(airing.startedAt)) / 1000)}`;
        const problems = new Map(
          runProblems(airing).map(({ run, problem }) => [`${wheelKey(run)} ${run.startedS}`, problem]),
        );
        return (
          <Unfold
            key={airing.id}
            label={`${timeOfDay(Date.parse(airing.startedAt))}, ${TOOL_WORDS[airing.toolKind].name.toLowerCase()}`}
            value={`${airing.way === 'out' ? 'Let out' : 'Put in'}: ${airing.wheels.length} wheels${ended}`}
          >
            {runs.map((run) => {
              const problem = problems.get(`${wheelKey(run)} ${run.startedS}`);
              const time =
                run.endedS === null || run.endedS === run.startedS ? '' : `, ${duration(run.endedS - run.startedS)}`;
              return (
                <Text key={`${wheelKey(run)} ${run.startedS}`} as="small">
                  {`${wheelName(run)}: ${pressure(run.beforeKpa, units)} → ${run.afterKpa === null ? 'not read' : pressure(run.afterKpa, units)}${time}${problem ? `. ${runProblemText(problem, units)}` : ''}`}
                </Text>
              );
            })}
            {airing.wheels
              .filter(({ settled }) => settled === 'skipped')
              .map((wheel) => (
                <Text key={wheelKey(wheel)} as="small">{`${wheelName(wheel)}: skipped`}</Text>
              ))}
            <Text as="small" tone="muted">
              {`Tires at ${Math.round(airing.tireTempC)} °C${airing.gauge ? `, gauge corrected by ${pressure(-airing.gauge.offsetKpa, units)}` : ''}.`}
            </Text>
          </Unfold>
        );
      })}
      {rounds.map((round) => (
        <Text key={round.id} as="small">
          {`${timeOfDay(Date.parse(round.readAt))}, ${OCCASION_WORDS[round.occasion]}: ${round.wheels
            .map((wheel) => `${wheelName(wheel).toLowerCase()} ${pressure(wheel.shownKpa, units)}`)
            .join(', ')}${round.tireTempC === null ? '' : `, tires ${Math.round(round.tireTempC)} °C`}.`}
        </Text>
      ))}
    </Panel>
  );
}
