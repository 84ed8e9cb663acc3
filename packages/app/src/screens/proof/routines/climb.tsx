import { disagreement, predictedClimbs, type SoilCode } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Text } from '../../../components/Text';
import { pressure } from '../../../words/format';
import { disagreementText, predictionText } from '../../../words/proof/climb';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import { RunStrip } from '../RunStrip';
import { SlopeFromTilt } from './SlopeFromTilt';
import type { InputProps, PictureProps, RoutineOnScreen, StripSettings } from './onScreen';

const STRIP: StripSettings = { range: [0, 1], note: '1: it went, 0: it did not' };

/** The strip of the runs, and what formulas say of such a slope where the soil is known. */
function Picture(props: PictureProps) {
  const { test, judgement, units } = props;
  const { setup } = test;
  const predicted = predictedClimbs(
    (setup.soil ?? null) as SoilCode | null,
    test.on,
    judgement.levels.map(({ pressureKpa }) => pressureKpa),
    typeof setup.depthMm === 'number' ? setup.depthMm / 1000 : null,
  );
  const slopeDeg = typeof setup.slopeDeg === 'number' ? setup.slopeDeg : null;
  const against = disagreement(predicted, judgement.levels, slopeDeg);
  return (
    <>
      <RunStrip {...props} strip={STRIP} />
      {predicted.length > 0 && (
        <View style={styles.rows}>
          <Text as="label">{`Predicted for ${ROUTINE_WORDS.climb.options!.soil![String(setup.soil)]!.toLowerCase()}`}</Text>
          {predicted.map((each) => (
            <Text key={each.pressureKpa} as="small">
              {`${pressure(each.pressureKpa, units)}: ${predictionText(each, slopeDeg)}`}
            </Text>
          ))}
          {against && (
            <Text role="alert" tone="rust">
              {disagreementText(against, slopeDeg !== null, units)}
            </Text>
          )}
          <Text as="small" tone="muted">
            Bekker’s and Janosi’s formulas, one wheel, rut alone: which of two pressures is better they tell more surely
            than the slope.
          </Text>
        </View>
      )}
    </>
  );
}

const SetupInput = ({ setSetup }: InputProps) => (
  <SlopeFromTilt onRead={(slopeDeg) => setSetup('slopeDeg', slopeDeg.toFixed(0))} />
);

export const climbOnScreen: RoutineOnScreen = { Picture, SetupInput };

const styles = StyleSheet.create({
  rows: { gap: 3 },
});
