import { groundsFor, type GroundCode, STUCK } from '@dunlinmoss/core';
import type { DayLeg } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Minus, Plus } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { GROUND_WORDS, groundName } from '../../words/grounds';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface LegFieldsProps {
  readonly index: number;
  readonly leg: DayLeg;
  readonly question: PlanQuery;
  readonly onChange: (part: Partial<DayLeg>) => void;
  readonly onRemove: (() => void) | undefined;
}

export function LegFields({ index, leg, question, onChange, onRemove }: LegFieldsProps) {
  const { rig, family, loadCase } = question;
  const own = rig.loadCases.find(({ id }) => id === leg.loadCaseId) ?? loadCase;
  const several = rig.loadCases.length > 1;
  return (
    <Unfold
      label={`${index + 1}. ${leg.parts === 1 ? 'One part' : `${leg.parts} parts`}${several && own ? `, ${own.name}` : ''}`}
      value={groundName(leg.ground)}
    >
      {(close) => (
        <>
          <Parts index={index} parts={leg.parts} onChange={(parts) => onChange({ parts })} />
          {several && (
            <Choice
              label="How it is loaded there"
              layout="list"
              value={own?.id}
              options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
              onChange={(loadCaseId) => onChange({ loadCaseId })}
            />
          )}
          <Choice
            label={`Ground of part ${index + 1}`}
            layout="list"
            value={leg.ground}
            options={groundsFor(family.kind)
              .filter((code) => code !== STUCK)
              .map((code: GroundCode) => ({ code, name: GROUND_WORDS[code].name }))}
            onChange={(ground) => {
              onChange({ ground });
              close();
            }}
          />
          {onRemove && <Action label="Leave this part out" onPress={onRemove} />}
        </>
      )}
    </Unfold>
  );
}

const MOST_PARTS = 20;

function Parts({
  index,
  parts,
  onChange,
}: {
  readonly index: number;
  readonly parts: number;
  readonly onChange: (parts: number) => void;
}) {
  const palette = usePalette();
  return (
    <View style={styles.parts}>
      <Text style={styles.name}>How much of the day</Text>
      <Press
        aria-label={`Part ${index + 1}, less`}
        disabled={parts <= 1}
        onPress={() => onChange(parts - 1)}
        style={[styles.step, { borderColor: palette.moss }]}
      >
        <Minus size={22} color={palette.moss} />
      </Press>
      <Text as="figure">{parts}</Text>
      <Press
        aria-label={`Part ${index + 1}, more`}
        disabled={parts >= MOST_PARTS}
        onPress={() => onChange(parts + 1)}
        style={[styles.step, { borderColor: palette.moss }]}
      >
        <Plus size={22} color={palette.moss} />
      </Press>
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { flex: 1 },
  step: { borderWidth: 1.5, borderRadius: 3, alignItems: 'center', width: 48 },
});
