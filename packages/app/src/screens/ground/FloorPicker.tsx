import { bodyOf, type RigRow } from '@dunlinmoss/contract';
import { defaultFloorKpa, familyOf, lastFloorKpa, NAMED_FLOORS, type NamedFloor } from '@dunlinmoss/core';
import { useState } from 'react';

import { save } from '../../data/outbox';
import type { Units } from '../../settings/preferences';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, quantityText } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { pressure } from '../../words/format';
import { FLOOR_WORDS } from '../../words/limits';

/** Highest that can be held as a lowest, kPa: above it there is nothing left to let out. Assumption. */
const MOST_KPA = 400;
/** Figures this close are the same floor, kPa. */
const SAME_KPA = 0.5;

/** The lowest that a person accepts for a rig: one of the trade's named floors, or a figure of their own. */
export function FloorPicker({ rig, units }: { readonly rig: RigRow; readonly units: Units }) {
  const family = familyOf(rig.family);
  const locked = rig.axles.some(({ beadHold }) => beadHold !== 'none');
  const tradeKpa = defaultFloorKpa(family, locked);
  const lastKpa = lastFloorKpa(family);
  const heldKpa = rig.beadFloorKpa ?? tradeKpa;
  // The trade's named floors are those of four wheels.
  const hasNamed = family.kind === 'car';
  const named = !hasNamed || (rig.beadFloorKpa === null && locked) ? undefined : namedAt(heldKpa);
  const [own, setOwn] = useState(quantityText('pressure', units.pressure, heldKpa));
  const ownKpa = canonicalOf('pressure', own);
  const possible = ownKpa !== undefined && ownKpa >= lastKpa - SAME_KPA && ownKpa <= MOST_KPA;

  const hold = async (beadFloorKpa: number | null): Promise<void> => {
    const saved = await save('rigs', { ...bodyOf('rigs', rig), beadFloorKpa });
    if (saved.kind === 'refused') notify(saved.problem.title);
    else notify(`${rig.name} goes no lower than ${pressure(beadFloorKpa ?? tradeKpa, units)} by choice.`);
  };
  return (
    <Unfold
      label="The lowest you accept"
      value={`${pressure(heldKpa, units)}: ${named ? FLOOR_WORDS[named].name.toLowerCase() : rig.beadFloorKpa !== null ? 'your own' : locked ? 'with its locks' : 'unless you say otherwise'}`}
    >
      {(close) => (
        <>
          {hasNamed && (
            <Choice
              label="Floors of the trade, without bead locks"
              layout="list"
              value={named}
              options={NAMED_FLOORS.map(({ code, pressureKpa }) => ({
                code,
                name: `${FLOOR_WORDS[code].name}: ${pressure(pressureKpa, units)}`,
                note: FLOOR_WORDS[code].why,
              }))}
              onChange={(code) => {
                void hold(NAMED_FLOORS.find((each) => each.code === code)!.pressureKpa);
                close();
              }}
            />
          )}
          <QuantityField
            label="Your own"
            spokenLabel="Your own lowest"
            quantity="pressure"
            value={own}
            onChange={setOwn}
            stepsFrom={heldKpa}
            problem={possible ? undefined : `Expected ${pressure(lastKpa, units)} to ${pressure(MOST_KPA, units)}.`}
          />
          <Action
            label="Hold my own"
            disabled={!possible}
            onPress={() => {
              void hold(Math.max(ownKpa!, lastKpa));
              close();
            }}
          />
          {rig.beadFloorKpa !== null && (
            <Action
              label={locked ? 'Back to what its locks allow' : 'Back to the common one'}
              onPress={() => {
                void hold(null);
                close();
              }}
            />
          )}
          <Text as="small" tone="muted">
            The load may ask for more than this: then that is the floor. Below it there is only the deliberate step when
            stuck.
          </Text>
        </>
      )}
    </Unfold>
  );
}

const namedAt = (kpa: number): NamedFloor | undefined =>
  NAMED_FLOORS.find(({ pressureKpa }) => Math.abs(pressureKpa - kpa) < SAME_KPA)?.code;
