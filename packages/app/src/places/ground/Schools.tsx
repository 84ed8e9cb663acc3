import type { RigRow } from '@dunlinmoss/contract';
import { DEFAULT_SCHOOL, SCHOOLS, type GroundPlan, type SchoolCode } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { rigBody } from '../../data/rigs';
import { notify } from '../../pieces/Notice';
import { Panel } from '../../pieces/Panel';
import { Press } from '../../pieces/Press';
import { Text } from '../../pieces/Text';
import { Unfold } from '../../pieces/Unfold';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { axleOnGauge, number } from '../../words/format';
import { cutText, SCHOOL_WORDS, WHY_DEFAULT } from '../../words/schools';

interface SchoolsProps {
  readonly plan: GroundPlan;
  readonly rig: RigRow;
}

/** The schools side by side, each with its number for each axle; one of them can be held for this rig. */
export function Schools({ plan, rig }: SchoolsProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  const held = rig.school ?? DEFAULT_SCHOOL;
  const hold = async (school: SchoolCode): Promise<void> => {
    const before = rigBody(rig);
    const saved = await save('rigs', { ...before, school: school === DEFAULT_SCHOOL ? null : school });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    if (saved.kind !== 'saved') return;
    const { revision } = saved.row;
    notify(
      `${rig.name} goes by ${SCHOOL_WORDS[school].name.toLowerCase()}.`,
      () => void save('rigs', { ...before, revision }),
    );
  };
  return (
    <Panel title="Schools side by side">
      <View role="radiogroup" aria-label="The school to hold" style={styles.list}>
        {SCHOOLS.map(({ code }) => {
          const chosen = code === held;
          const words = SCHOOL_WORDS[code];
          const own = plan.axles.map((axle) => ({ axle, school: axle.schools.find((each) => each.code === code)! }));
          const numbers = own.map(({ axle, school }) => {
            const { startKpa } = axleOnGauge({ ...axle, startKpa: school.startKpa }, units);
            return {
              position: axle.position,
              text: number('pressure', units.pressure, startKpa),
              cut: cutText(school, units),
            };
          });
          return (
            <View key={code} style={styles.school}>
              <Press
                role="radio"
                aria-checked={chosen}
                onPress={() => void hold(code)}
                style={[
                  styles.row,
                  {
                    borderColor: chosen ? palette.moss : palette.line,
                    backgroundColor: chosen ? palette.mossWash : palette.card,
                  },
                  chosen && styles.chosen,
                ]}
              >
                <View style={styles.line}>
                  <Text as={chosen ? 'strong' : 'body'} style={styles.name}>
                    {words.name}
                  </Text>
                  <Text as="figure">{`${numbers.map(({ text }) => text).join(' / ')} ${units.pressure}`}</Text>
                </View>
                {numbers.flatMap(({ position, cut }) =>
                  cut === undefined
                    ? []
                    : [
                        <Text key={position} as="small" tone="muted">
                          {`${AXLE_WORDS[position]} ${cut}`}
                        </Text>,
                      ],
                )}
              </Press>
            </View>
          );
        })}
      </View>
      <Text as="small" tone="muted">
        {`${plan.axles.map(({ position }) => AXLE_WORDS[position].toLowerCase()).join(' / ')}, cold. ${WHY_DEFAULT}`}
      </Text>
      <Unfold label="Who holds which, and where it breaks">
        {SCHOOLS.map(({ code }) => {
          const { name, who, right, breaks } = SCHOOL_WORDS[code];
          return (
            <View key={code}>
              <Text as="label">{name}</Text>
              <Text as="small">{`${who} ${right} ${breaks}`}</Text>
            </View>
          );
        })}
      </Unfold>
    </Panel>
  );
}

const styles = StyleSheet.create({
  list: { gap: 6 },
  school: { gap: 2 },
  row: { borderWidth: 1, borderRadius: 3, paddingHorizontal: 12, paddingVertical: 6 },
  chosen: { borderLeftWidth: 6 },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: 10 },
  name: { flex: 1 },
});
