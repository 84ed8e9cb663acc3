import { groundOf } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { addressOf, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';

interface LetOutOrProps {
  readonly question: PlanQuery;
  /** The pressures are set already; without it there is only the one way. */
  readonly onSet?: () => void;
}

/** The next step: let it out, wheel by wheel; or it is already set. */
export function LetOutOr({ question, onSet }: LetOutOrProps) {
  const router = useRouter();
  const bicycle = question.family.kind === 'bicycle';
  if (groundOf(question.asked.ground).paved && !bicycle) return null;
  return (
    <View style={styles.ways}>
      <View style={styles.way}>
        <Action
          kind="main"
          label={bicycle ? 'Set it' : 'Let it out'}
          onPress={() => router.navigate({ pathname: '/air/out', params: addressOf(question) })}
        />
      </View>
      {onSet && (
        <View style={styles.set}>
          <Action label="It’s already set" onPress={onSet} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', gap: 8 },
  way: { flex: 1 },
  set: { flex: 1 },
});
