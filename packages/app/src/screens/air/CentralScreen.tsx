import { loadCaseOf } from '@dunlinmoss/contract';
import { centralCost, centralTimes } from '@dunlinmoss/core';
import { centralLegs } from '@dunlinmoss/domain';
import { useState } from 'react';

import { readDraft, writeDraft } from '../../data/drafts';
import { Choice } from '../../components/Choice';
import { NumberField } from '../../components/NumberField';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { Text } from '../../components/Text';
import { UnitsOpen } from '../../components/UnitsOpen';
import { Unfold } from '../../components/Unfold';
import { flow, pressure, volume } from '../../words/format';
import { expectedText } from '../../words/problems';
import { groundName } from '../../words/grounds';
import { AirQuestion } from './AirQuestion';
import type { AirJob } from '../../hooks/useAirJob';
import { Controller } from './CentralController';
import {
  setupOf,
  SUPPLY_FIELDS,
  TANK_KPA,
  usualOf,
  valueOf,
  WAY_FIELDS,
  type CentralField,
  type Typed,
} from './centralFields';
import { CentralRoundResult, GroundSaved } from './CentralResult';

/** Central inflation: road to field and back, whether it is done before the gate, what it costs and what it saves. */
export const CentralScreen = () => (
  <AirQuestion title="Central inflation">
    {(job, choice) => <Central key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

/** Kept with what is typed: what is carried out and home. */
interface Kept {
  readonly typed: Typed;
  readonly outCaseId: string | null;
  readonly homeCaseId: string | null;
}

function Central({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const { rig, units, question, outsideKpaAbs, loadCaseId } = job;
  const draft = `centralRound:${rig.id}`;
  const [kept, setKept] = useState<Kept>(
    () => readDraft<Kept>(draft) ?? { typed: usualOf(units), outCaseId: loadCaseId, homeCaseId: loadCaseId },
  );
  const change = (part: Partial<Kept>): void => {
    const next = { ...kept, ...part };
    setKept(next);
    writeDraft(draft, next);
  };
  const { typed } = kept;
  const setup = setupOf(typed);
  const ground = groundName(question.asked.ground);
  const legs = centralLegs(
    rig,
    question.tests,
    { field: question.asked, outCaseId: kept.outCaseId, homeCaseId: kept.homeCaseId },
    units,
  );
  const changed = legs.ok ? legs.value.filter(({ outKpa, fieldKpa }) => outKpa > fieldKpa + 1) : [];
  const axles = changed.map(({ outKpa: roadKpa, ...axle }) => ({ ...axle, roadKpa }));
  const timed = setup && {
    outLPerS: setup.out / 60,
    lineLPerS: setup.line / 60,
    supply: [
      { pressureKpa: 0, litersPerMin: setup.supply },
      { pressureKpa: TANK_KPA, litersPerMin: setup.supply },
    ] as const,
    tankL: setup.tank,
    tankKpa: TANK_KPA,
    outsideKpaAbs,
  };
  const down = timed && axles.length > 0 ? centralTimes({ ...timed, axles }) : undefined;
  // On the way home only as far up as what is carried home asks for.
  const homeward = axles.filter(({ homeKpa, fieldKpa }) => homeKpa > fieldKpa + 1);
  const up =
    timed && axles.length > 0
      ? centralTimes({ ...timed, axles: homeward.map((axle) => ({ ...axle, roadKpa: axle.homeKpa })) })
      : undefined;
  const cost =
    setup && down && up && up.upS !== null
      ? centralCost(
          { downS: down.downS, upS: homeward.length === 0 ? 0 : up.upS },
          { distanceM: setup.distance, speedKmh: setup.speed, cycles: Math.round(setup.cycles) },
        )
      : undefined;
  const field = (each: CentralField) => {
    const props = {
      label: each.label,
      problem: valueOf(each, typed) === undefined ? expectedText(each.quantity, each.from, each.to, units) : undefined,
    };
    const type = (text: Typed['supply']): void => change({ typed: { ...typed, [each.key]: text } });
    return each.quantity ? (
      <QuantityField key={each.key} {...props} quantity={each.quantity} value={typed[each.key]} onChange={type} />
    ) : (
      <NumberField
        key={each.key}
        {...props}
        unit=""
        value={typed[each.key].text}
        onChange={(text) => type({ text, unit: '' })}
      />
    );
  };
  const caseChoice = (label: string, which: 'outCaseId' | 'homeCaseId') => (
    <Choice
      label={label}
      value={loadCaseOf(rig, kept[which])?.id}
      options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
      onChange={(id) => change({ [which]: id })}
    />
  );

  return (
    <Page
      title="Central inflation"
      result={
        <>
          {!legs.ok ? (
            <Panel>
              <Text role="alert">
                {legs.problem.leg === 'field'
                  ? 'There is no safe pressure for this load on this ground: see Ground.'
                  : 'There is no safe road pressure for this load: see Ground, on pavement.'}
              </Text>
            </Panel>
          ) : axles.length === 0 ? (
            <Panel>
              <Text>{`${ground} asks for no less than the road does: nothing to change.`}</Text>
            </Panel>
          ) : (
            down &&
            up && (
              <CentralRoundResult
                legs={changed}
                downS={down.downS}
                upS={homeward.length === 0 ? 0 : up.upS}
                upProblem={homeward.length === 0 ? null : up.upProblem}
                cost={cost}
                cycles={Math.round(setup?.cycles ?? 0)}
                units={units}
              />
            )
          )}
          {legs.ok && <GroundSaved job={job} legs={changed} loadCaseId={kept.outCaseId} />}
          {setup && <Controller job={job} axles={changed} out={setup.out / 60} supply={setup.supply} />}
        </>
      }
    >
      {choice}
      <Text tone="muted">{`${rig.name}: road pressure on the road, less beyond the gate. There: ${ground.toLowerCase()}.`}</Text>
      {rig.loadCases.length > 1 && (
        <>
          {caseChoice('Out to the field with', 'outCaseId')}
          {caseChoice('Home with', 'homeCaseId')}
        </>
      )}
      {WAY_FIELDS.map(field)}
      <Unfold
        label="Air supply"
        value={setup ? `${flow(setup.supply, units)}, tank ${volume(setup.tank, units)}` : 'look at these'}
        startsOpen={setup === undefined}
      >
        {SUPPLY_FIELDS.map(field)}
        <Text as="small" tone="muted">
          {`Our assumptions until the controller’s sheet says better. The tank is held at ${pressure(TANK_KPA, units)}.`}
        </Text>
      </Unfold>
      <UnitsOpen />
    </Page>
  );
}
