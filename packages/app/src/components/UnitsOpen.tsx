import { unitsStore } from '../settings/preferences';
import { unitLabel } from '../words/units';
import { Text } from './Text';
import { UnitChoice } from './UnitChoice';
import { Unfold } from './Unfold';

/** All units in one place, folded to a line: `Units: psi, kg, mm, km/h`. */
export function UnitsOpen() {
  const { pressure, mass, length, speed } = unitsStore.use();
  return (
    <Unfold label="Units" value={[pressure, mass, length, speed].map(unitLabel).join(', ')}>
      <UnitChoice label="Pressures in" quantity="pressure" />
      <UnitChoice label="Weights in" quantity="mass" />
      <Text as="small" tone="muted">
        Pounds bring inches, feet, mph and gallons along, kilograms the metric ones. Each can be set apart here.
      </Text>
      <UnitChoice label="Lengths in" quantity="length" />
      <UnitChoice label="Speeds in" quantity="speed" />
      <UnitChoice label="Distances in" quantity="distance" />
      <UnitChoice label="Tanks in" quantity="volume" />
      <UnitChoice label="Air flow in" quantity="flow" />
    </Unfold>
  );
}
