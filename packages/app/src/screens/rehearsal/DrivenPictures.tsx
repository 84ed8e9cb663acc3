import {
  bellyOf,
  deflectionMm,
  isTrailer,
  standingDiameterMm,
  wayOf,
  type Choice,
  type Frame,
  type RehearsalInput,
  type Scene,
} from '@dunlinmoss/core';
import { useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';

import { Text } from '../../components/Text';
import type { Decided, RehearsalState } from '../../hooks/useRehearsal';
import { DrivenCut } from '../../pictures/DrivenCut';
import type { DrivenShape } from '../../pictures/drivenPlaces';
import { usePalette } from '../../theme/useLight';
import { endText } from '../../words/rehearsal';
import { RunPlayer } from './RunPlayer';

type Place = NonNullable<RehearsalState['place']>;

/** How deep soft ground is drawn that has no bottom, m. */
const DRAWN_M = 0.6;

function shapeOf({ axles, kind }: RehearsalInput, pressuresKpa: readonly number[]): DrivenShape {
  return {
    axles: axles.map(({ build, wheelLoadKg, behindM, position }, index) => ({
      behindM,
      radiusM: standingDiameterMm(build) / 2000,
      bendM: deflectionMm(build, wheelLoadKg, pressuresKpa[index]!) / 1000,
      trailer: isTrailer(position),
    })),
    bellyM: bellyOf(kind),
    cab: kind !== 'quad',
  };
}

function useWay({ lie, draw }: Place) {
  return useMemo(() => {
    const { heightM } = wayOf(lie, draw);
    const starts = lie.legs.map((_, index) => lie.legs.slice(0, index).reduce((sum, { lengthM }) => sum + lengthM, 0));
    const soft = lie.legs.flatMap((leg, index) => (leg.soft ? [[starts[index]!, starts[index]! + leg.lengthM]] : []));
    return {
      heightM,
      soft: { fromM: soft[0]![0]!, toM: soft.at(-1)![1]!, depthM: Math.min(lie.depthM ?? DRAWN_M, DRAWN_M) },
    };
  }, [lie, draw]);
}

const standing = ({ drive }: Scene): Frame => ({
  timeS: drive.timeS,
  atM: drive.atM,
  speedMs: 0,
  wheelMs: 0,
  sunkM: drive.dugM,
});

interface AtStartProps {
  readonly scene: Scene;
  readonly input: RehearsalInput;
  readonly place: Place;
}

/** Where it stands before anything was decided. */
export function AtStart({ scene, input, place }: AtStartProps) {
  const palette = usePalette();
  const way = useWay(place);
  const driven = { frames: [standing(scene)], shape: shapeOf(input, scene.pressuresKpa), heightM: way.heightM };
  return (
    <DrivenCut
      driven={driven}
      soft={way.soft}
      atS={driven.frames[0]!.timeS}
      label="Your machine from the side, on firm ground before the soft"
      palette={palette}
    />
  );
}

interface TwoRunsProps {
  readonly decided: Decided;
  readonly input: RehearsalInput;
  readonly place: Place;
  readonly label: (choice: Choice, at: Scene) => string;
}

/** What came of a decision, moving, and below it the other choice on the same place. */
export function TwoRuns({ decided: { before, choice, after, twin }, input, place, label }: TwoRunsProps) {
  const box = useRef<View>(null);
  // The choice was further down than what it came to.
  useEffect(() => {
    (box.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'start' });
  }, []);
  const palette = usePalette();
  const way = useWay(place);
  const runs = useMemo(
    () =>
      [{ choice, scene: after }, ...(twin ? [{ choice: twin.choice, scene: twin.after }] : [])].map(
        ({ choice: made, scene }) => ({
          name: label(made, before),
          end: scene.run ? endText(scene) : null,
          driven: {
            frames: scene.run?.frames ?? [standing(scene)],
            shape: shapeOf(input, scene.pressuresKpa),
            heightM: way.heightM,
          },
        }),
      ),
    [before, choice, after, twin, input, label, way],
  );
  const fromS = Math.min(...runs.map(({ driven }) => driven.frames[0]!.timeS));
  const toS = Math.max(...runs.map(({ driven }) => driven.frames.at(-1)!.timeS));
  return (
    <View ref={box} style={[styles.runs, styles.top]}>
      <RunPlayer fromS={fromS} toS={toS}>
        {(atS) => (
          <View style={styles.runs}>
            {runs.map(({ name, end, driven }, index) => (
              <View key={index} style={styles.run}>
                <Text as="label" tone="muted">
                  {`${index === 0 ? 'You' : 'Beside it'}: ${name}${end === null ? '' : ` · ${end}`}`}
                </Text>
                <DrivenCut
                  driven={driven}
                  soft={way.soft}
                  atS={atS}
                  label={`${name}: ${end ?? 'it stands'}`}
                  palette={palette}
                />
              </View>
            ))}
          </View>
        )}
      </RunPlayer>
    </View>
  );
}

const styles = StyleSheet.create({
  runs: { gap: 10 },
  run: { gap: 2 },
  // Brought into view, it does not stand against the edge.
  top: { scrollMarginTop: 12 } as object,
});
