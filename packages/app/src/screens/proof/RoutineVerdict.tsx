import {
  fromCanonical,
  predictedClimbs,
  printFigures,
  ROOT_LIMIT_KPA,
  routineOf,
  type Judgement,
  type RoutineTest,
  type SoilCode,
} from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { unitsStore, type Units } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { ChalkLine } from '../../pictures/ChalkLine';
import { NestedPrints } from '../../pictures/NestedPrints';
import { TrackLines } from '../../pictures/TrackLines';
import { TrialStrip } from '../../pictures/TrialStrip';
import { usePalette } from '../../theme/useLight';
import { area } from '../../words/area';
import { percent, pressure } from '../../words/format';
import { isCeiling, LIMIT_WORDS } from '../../words/limits';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { predictionText } from '../../words/proof/climb';
import { sureText } from '../../words/proof/routineWords';

interface RoutineVerdictProps {
  /** Undefined until there is enough to judge. */
  readonly test: RoutineTest | undefined;
  readonly judgement: Judgement | undefined;
  /** Names of the rig's wheels by key. */
  readonly wheels: Readonly<Record<string, string>>;
}

const TONE = { keep: 'moss', softer: 'ink', firmer: 'ink', again: 'ink', look: 'rust' } as const;

/** What a test says so far, in words and in its own picture. */
export function RoutineVerdict({ test, judgement, wheels }: RoutineVerdictProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  if (!test || !judgement || test.runs.length === 0) {
    return (
      <Panel title="Result">
        <Text tone="muted">What it says stands here as soon as something is written down.</Text>
      </Panel>
    );
  }
  const words = ROUTINE_WORDS[test.code];
  const { verdict, move, contradictions, heldAt } = judgement;
  const hurts = move === 'look' || contradictions.length > 0;
  return (
    <Panel title="Result">
      <View
        role="status"
        style={[
          styles.verdict,
          {
            borderColor: hurts ? palette.rust : move === 'keep' ? palette.moss : palette.waterDeep,
            backgroundColor: hurts ? palette.rustWash : move === 'keep' ? palette.mossWash : palette.card,
          },
        ]}
      >
        <Text as="heading" tone={TONE[move]}>
          {words.verdicts[verdict] ?? verdict}
        </Text>
        <Text>{words.advice(judgement, units)}</Text>
        {heldAt !== null && (
          <Text as="small" tone="rust">
            {`Held at the plan’s ${isCeiling(heldAt) ? 'ceiling' : 'floor'}: ${LIMIT_WORDS[heldAt].voice}.`}
          </Text>
        )}
      </View>
      <Picture test={test} judgement={judgement} units={units} wheels={wheels} />
      {words.runs && judgement.runs.length > 0 && test.code !== 'chalk' && (
        <Text as="small" tone="muted">
          {judgement.runs
            .map((word, index) => `${index + 1}: ${words.runs![word] ?? word}`)
            .filter((line) => !line.endsWith(': '))
            .join(' · ')}
        </Text>
      )}
      {contradictions.length > 0 && (
        <Text as="small" tone="rust">
          {`These can’t both be right: ${contradictions
            .slice(0, 3)
            .map(([a, b]) => `${a + 1} and ${b + 1}`)
            .join(', ')}. Both are kept; nothing is averaged.`}
        </Text>
      )}
      {routineOf(test.code).evidence && (
        <Text as="small" tone="muted">
          What it tells of the tire itself goes into the plan when it is saved.
        </Text>
      )}
    </Panel>
  );
}

function Picture({
  test,
  judgement,
  units,
  wheels,
}: Required<Pick<RoutineVerdictProps, 'wheels'>> & {
  readonly test: RoutineTest;
  readonly judgement: Judgement;
  readonly units: Units;
}) {
  const palette = usePalette();
  const { code, runs, setup } = test;
  const inPressure = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const inLength = (mm: number): number => fromCanonical('length', units.length, mm);
  const numberOf = (value: unknown): number => Number(value);
  switch (code) {
    case 'chalk': {
      const left = { worn: 0, partly: 0.5, still: 1 } as const;
      return (
        <ChalkLine
          wheels={runs.map((run, index) => ({
            name: `${wheels[String(run.wheel)] ?? ''}`,
            zones: (['outerLeft', 'left', 'middle', 'right', 'outerRight'] as const).map(
              (zone) => left[run[zone] as keyof typeof left],
            ),
            word: `${pressure(numberOf(run.pressureKpa), units)}: ${ROUTINE_WORDS.chalk.runs![judgement.runs[index]!] ?? ''}`,
          }))}
          palette={palette}
        />
      );
    }
    case 'print': {
      const wheel = test.on;
      return (
        <>
          <NestedPrints
            prints={runs.map((run) => ({
              pressureKpa: numberOf(run.pressureKpa),
              lengthMm: numberOf(run.lengthMm),
              widthMm: numberOf(run.widthMm),
              outline: (run.outline ?? null) as never,
            }))}
            units={units}
            palette={palette}
          />
          {runs.map((run, index) => {
            const figures = printFigures(run as never, wheel);
            return (
              <Text key={index} as="small">
                {[
                  `${pressure(numberOf(run.pressureKpa), units)}: ${area(figures.grossMm2, units)} within the outline`,
                  figures.netMm2 === null
                    ? undefined
                    : `${area(figures.netMm2, units)} rubber, ${percent(figures.voidShare!)} void`,
                  figures.grossKpa === null
                    ? 'load not known, so no pressure on the ground'
                    : `${pressure(figures.grossKpa, units)} on soft ground`,
                  figures.netKpa === null ? undefined : `${pressure(figures.netKpa, units)} under the rubber`,
                ]
                  .filter((part) => part !== undefined)
                  .join(', ')}
              </Text>
            );
          })}
        </>
      );
    }
    case 'penetrometer':
      return (
        <TrackLines
          lines={(['untouched', 'trackA', 'trackB'] as const)
            .map((track) => ({
              name: ROUTINE_WORDS.penetrometer.options!.track![track]!,
              points: runs
                .filter((run) => run.track === track)
                .map((run): [number, number] => [inPressure(numberOf(run.coneKpa)), inLength(numberOf(run.depthMm))])
                .sort((a, b) => a[1] - b[1]),
            }))
            .filter(({ points }) => points.length > 0)}
          along={`cone, ${units.pressure}`}
          up={`depth, ${units.length}`}
          down
          limit={{ at: inPressure(ROOT_LIMIT_KPA), name: 'roots stop' }}
          label="Cone against depth"
          palette={palette}
        />
      );
    case 'infiltration':
      return (
        <TrackLines
          lines={(['trackA', 'trackB'] as const).map((track) => ({
            name: ROUTINE_WORDS.infiltration.options!.track![track]!,
            points: [
              [0, inLength(numberOf(setup.pouredMm))] as const,
              ...runs
                .filter((run) => run.track === track)
                .map((run) => [numberOf(run.atS) / 60, inLength(numberOf(run.leftMm))] as const)
                .sort((a, b) => a[0] - b[0]),
            ],
          }))}
          along="time, min"
          up={`water left, ${units.length}`}
          label="Water left against time"
          palette={palette}
        />
      );
    default: {
      const { score } = routineOf(code);
      const inMm = score?.unit === 'mm' || code === 'standingHeight';
      const predicted =
        code === 'climb'
          ? predictedClimbs(
              (setup.soil ?? null) as SoilCode | null,
              test.on,
              judgement.levels.map(({ pressureKpa }) => pressureKpa),
              typeof setup.depthMm === 'number' ? setup.depthMm / 1000 : null,
            )
          : [];
      return (
        <>
          {judgement.levels.length > 0 && (
            <TrialStrip
              levels={judgement.levels}
              counted={`${ROUTINE_WORDS[code].counted ?? ''}${inMm ? `, ${units.length}` : score?.unit === 'm' && code !== 'climb' ? ', m' : code === 'climb' ? ', 1 yes 0 no' : ''}`}
              shown={inMm ? inLength : (value) => value}
              {...(code === 'climb' && { range: [0, 1] as const })}
              nextKpa={judgement.move === 'keep' ? null : judgement.tryKpa}
              bestKpa={judgement.move === 'keep' ? judgement.tryKpa : null}
              units={units}
              palette={palette}
            />
          )}
          {predicted.length > 0 && (
            <View style={styles.rows}>
              <Text as="label">{`Predicted for ${ROUTINE_WORDS.climb.options!.soil![String(setup.soil)]!.toLowerCase()}`}</Text>
              {predicted.map((each) => (
                <Text key={each.pressureKpa} as="small">
                  {`${pressure(each.pressureKpa, units)}: ${predictionText(each, numberOf(setup.slopeDeg))}`}
                </Text>
              ))}
              <Text as="small" tone="muted">
                Bekker’s and Janosi’s formulas, one wheel, rut alone: which of two pressures is better they tell more
                surely than the slope.
              </Text>
            </View>
          )}
          {judgement.sure !== null && judgement.sure > 0 && code !== 'bracket' && (
            <Text as="small" tone="muted">{`How sure: ${sureText(judgement.sure)}.`}</Text>
          )}
        </>
      );
    }
  }
}

const styles = StyleSheet.create({
  verdict: { borderLeftWidth: 6, padding: 12, gap: 4 },
  rows: { gap: 3 },
});
