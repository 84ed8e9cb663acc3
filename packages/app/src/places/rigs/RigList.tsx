import type { RigRow } from '@dunlinmoss/contract';

import { unitsStore } from '../../data/preferences';
import { CardList, LinkCard } from '../../pieces/LinkCard';
import { Text } from '../../pieces/Text';
import { mass, pressure } from '../../words/format';
import { AXLE_WORDS } from '../../words/outing';

interface RigListProps {
  readonly rigs: readonly RigRow[];
  readonly chosen?: string | undefined;
}

/** The rigs, each with what decides its pressures: tires, loads, placard. */
export function RigList({ rigs, chosen }: RigListProps) {
  const units = unitsStore.use();
  return (
    <CardList>
      {rigs.map((rig) => (
        <LinkCard key={rig.id} href={{ pathname: '/rigs/[id]', params: { id: rig.id } }} chosen={rig.id === chosen}>
          <Text as="strong">{rig.name}</Text>
          {rig.axles.map((axle) => (
            <Text key={axle.position} as="small" tone="muted">
              {`${AXLE_WORDS[axle.position]}: ${axle.tireMarking}, ${mass(axle.leftLoadKg + axle.rightLoadKg, units)}${axle.loadsFrom === 'wheel' ? ' weighed' : ''}, placard ${pressure(axle.placardKpa, units)}`}
            </Text>
          ))}
          {rig.beadLocks && (
            <Text as="small" tone="muted">
              Bead locks
            </Text>
          )}
        </LinkCard>
      ))}
    </CardList>
  );
}
