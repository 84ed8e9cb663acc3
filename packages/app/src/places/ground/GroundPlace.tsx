import { DEFAULT_SCHOOL, familyOf, GROUND_CODES, planGround, type GroundCode, type GroundPlan } from '@dunlinmoss/core';
import { loadCaseOf, type OutingRow, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { planAxles, type NoPlan } from '../../data/planAxles';
import { useOpenOuting } from '../../data/outings';
import { unitsStore } from '../../data/preferences';
import { useRow, useRows } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Cautions } from '../../pieces/Cautions';
import { Choice } from '../../pieces/Choice';
import { GroundPicker } from '../../pieces/GroundPicker';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { Unfold } from '../../pieces/Unfold';
import { Working } from '../../pieces/Working';
import { inPairs } from '../../pictures/inPairs';
import { Print } from '../../pictures/Print';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { FAMILY_WORDS } from '../../words/families';
import { axleOnGauge } from '../../words/format';
import { noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { AxleNumbers } from './AxleNumbers';
import { Figures } from './Figures';
import { FloorPicker } from './FloorPicker';
import { GaugeNow } from './GaugeNow';
import { Schools } from './Schools';
import { SetPressures } from './SetPressures';

const isGround = (text: string | undefined): text is GroundCode => GROUND_CODES.some((code) => code === text);

/** What pressure, for this ground, on this rig; how low at the most; why. */
export function GroundPlace() {
  const params = useLocalSearchParams<{ rig?: string; ground?: string }>();
  const router = useRouter();
  const { rows: rigs, loading } = useRows('rigs');
  const { outing } = useOpenOuting();
  const wanted = useRow('rigs', params.rig ?? outing?.rigId);
  if (loading || wanted.loading) {
    return (
      <Page title="Ground">
        <Loading />
      </Page>
    );
  }
  const rig = wanted.row ?? rigs.find(({ family }) => familyOf(family).grounds) ?? rigs[0];
  if (!rig) {
    return (
      <Page title="Ground">
        <Empty
          text="A pressure needs a rig: load, tires and placard."
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }
  const own = outing?.rigId === rig.id ? outing : undefined;
  const ground = isGround(params.ground) ? params.ground : (own?.groundCode ?? 'softSand');
  return <RigOnGround key={`${rig.id} ${ground}`} rig={rig} rigs={rigs} ground={ground} outing={own} />;
}

interface RigOnGroundProps {
  readonly rig: RigRow;
  readonly rigs: readonly RigRow[];
  readonly ground: GroundCode;
  readonly outing: OutingRow | undefined;
}

function RigOnGround({ rig, rigs, ground, outing }: RigOnGroundProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const { rows: tests } = useRows('tests', { rigId: rig.id }, ({ rigId }) => rigId === rig.id);
  const [stuckAccepted, setStuckAccepted] = useState(false);
  const [setting, setSetting] = useState(false);
  const axles = planAxles(rig, tests, outing?.loadCaseId);
  if (!axles.ok) {
    return (
      <Waiting rig={rig} rigs={rigs} reason={axles.problem} onRig={(id) => router.setParams({ rig: id, ground })} />
    );
  }
  const plan = planGround({ ground, school: rig.school ?? DEFAULT_SCHOOL, stuckAccepted, axles: axles.value });

  const loadCase = loadCaseOf(rig, outing?.loadCaseId);
  const choose = (change: { rig?: string; ground?: string }): void =>
    router.setParams({ rig: rig.id, ground, ...change });
  const canSet = plan.ok && ground !== 'pavement' && !plan.value.needsStuckStep;

  return (
    <Page
      title="Ground"
      action={canSet && <Action kind="main" label="Air is out: keep the pressures" onPress={() => setSetting(true)} />}
      result={
        plan.ok ? (
          <PlanResult plan={plan.value} rig={rig} tests={tests} onStuck={() => setStuckAccepted(true)} />
        ) : (
          <Panel title="No safe pressure">
            <Text role="alert">{noPlanText(plan.problem, units)}</Text>
            {plan.problem.code === 'floorAboveRoad' && <FloorPicker rig={rig} />}
            <Action
              label={`Check ${rig.name}`}
              onPress={() => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } })}
            />
          </Panel>
        )
      }
    >
      <RigPicker rig={rig} rigs={rigs} onRig={(id) => choose({ rig: id })} />
      {loadCase && <Text tone="muted">{`Load: ${loadCase.name}.`}</Text>}
      <GroundPicker value={ground} onChange={(code) => choose({ ground: code })} />
      {setting && plan.ok && (
        <SetPressures plan={plan.value} rig={rig} outing={outing} onClose={() => setSetting(false)} />
      )}
    </Page>
  );
}

interface RigPickerProps {
  readonly rig: RigRow;
  readonly rigs: readonly RigRow[];
  readonly onRig: (id: string) => void;
}

function RigPicker({ rig, rigs, onRig }: RigPickerProps) {
  return (
    <Unfold label="Rig" value={rig.name}>
      {(close) => (
        <Choice
          label="Rig"
          layout="list"
          value={rig.id}
          options={rigs.map(({ id, name, family }) => ({ code: id, name, note: FAMILY_WORDS[family].name }))}
          onChange={(id) => {
            onRig(id);
            close();
          }}
        />
      )}
    </Unfold>
  );
}

/** Nothing can be worked out yet: what is missing, and where to tell it. */
function Waiting({ rig, rigs, reason, onRig }: RigPickerProps & { readonly reason: NoPlan }) {
  const router = useRouter();
  const units = unitsStore.use();
  return (
    <Page
      title="Ground"
      result={
        <Panel title="No pressure yet">
          <Text role="alert">{waitingText(reason, rig.family, units)}</Text>
          <Action
            label={reason.code === 'family' ? `See ${rig.name}` : `Put it right on ${rig.name}`}
            onPress={() => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } })}
          />
        </Panel>
      }
    >
      <RigPicker rig={rig} rigs={rigs} onRig={onRig} />
    </Page>
  );
}

interface PlanResultProps {
  readonly plan: GroundPlan;
  readonly rig: RigRow;
  readonly tests: readonly ProofTestRow[];
  readonly onStuck: () => void;
}

function PlanResult({ plan, rig, tests, onStuck }: PlanResultProps) {
  const units = unitsStore.use();
  const palette = usePalette();
  const wide = useWide();
  return (
    <>
      <AxleNumbers
        plan={plan}
        school={rig.school ?? DEFAULT_SCHOOL}
        beadLocked={
          new Set(rig.axles.filter(({ beadHold }) => beadHold === 'beadLock').map(({ position }) => position))
        }
      />
      <Cautions plan={plan} severity="danger" />
      <GaugeNow plan={plan} />
      {plan.needsStuckStep && (
        <Panel title="Below the floor?">
          <Text>
            First: reverse along your own tracks, dig in front of each wheel, boards, unload. Going below the floor is
            for one attempt and then straight back up.
          </Text>
          <Action kind="hurt" label="Stuck, and nothing else helped" onPress={onStuck} />
        </Panel>
      )}
      <View style={wide ? styles.pictures : styles.stack}>
        <Panel title="The staff" style={wide && styles.picture}>
          {inPairs(plan.axles).map((pair) => (
            <Staff
              key={pair[0]!.position}
              axles={pair.map((axle) => ({ name: AXLE_WORDS[axle.position], ...axleOnGauge(axle, units) }))}
              units={units}
              palette={palette}
            />
          ))}
        </Panel>
        <Panel title="The print" style={wide && styles.picture}>
          {inPairs(plan.axles).map((pair) => (
            <Print
              key={pair[0]!.position}
              axles={pair.map((axle) => ({
                name: AXLE_WORDS[axle.position],
                road: axle.atRoad,
                start: { ...axle.atStart, pressureKpa: axleOnGauge(axle, units).startKpa },
              }))}
              units={units}
              palette={palette}
            />
          ))}
        </Panel>
      </View>
      {plan.ground !== 'pavement' && <FloorPicker rig={rig} />}
      {plan.ground !== 'pavement' && <Schools plan={plan} rig={rig} />}
      <Figures plan={plan} rig={rig} tests={tests} />
      <Cautions plan={plan} severity="care" />
      {plan.axles.map(({ position, working }) => (
        <Unfold key={position} label={`Working, ${AXLE_WORDS[position].toLowerCase()} axle`}>
          <Working steps={working} />
        </Unfold>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  pictures: { flexDirection: 'row', gap: 14 },
  stack: { gap: 12 },
  picture: { flex: 1 },
});
