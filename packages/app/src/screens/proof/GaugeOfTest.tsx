import { gaugeOffset } from '@dunlinmoss/core';

import { useGauges } from '../../data/gauges';
import type { Units } from '../../settings/preferences';
import { Choice } from '../../components/Choice';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { pressureFine } from '../../words/format';
import { offsetText } from '../../words/gauges';

interface GaugeOfTestProps {
  /** Empty for one that is taken as true. */
  readonly gaugeId: string;
  readonly onChange: (gaugeId: string) => void;
  readonly offsetKpa: number;
  readonly units: Units;
}

/** Which gauge the readings of a test are of, and what is allowed for it. */
export function GaugeOfTest({ gaugeId, onChange, offsetKpa, units }: GaugeOfTestProps) {
  const gauges = useGauges();
  return (
    <>
      {gauges.length > 0 && (
        <Unfold label="Read with" value={gauges.find(({ id }) => id === gaugeId)?.name ?? 'A gauge you trust'}>
          {(close) => (
            <Choice
              label="Gauge"
              layout="list"
              value={gaugeId}
              options={[
                { code: '', name: 'A gauge you trust' },
                ...gauges.map((gauge) => ({
                  code: gauge.id,
                  name: gauge.name,
                  note: offsetText(gaugeOffset(gauge.comparisons), units),
                })),
              ]}
              onChange={(id) => {
                onChange(id);
                close();
              }}
            />
          )}
        </Unfold>
      )}
      {offsetKpa !== 0 && (
        <Text as="small" tone="muted">
          {`Type what it shows. The ${pressureFine(Math.abs(offsetKpa), units)} that it reads too ${offsetKpa > 0 ? 'much' : 'little'} is allowed for; both are kept.`}
        </Text>
      )}
    </>
  );
}
