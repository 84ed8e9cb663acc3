import { TUBE_KINDS, type TubeKind } from '@dunlinmoss/core';
import { nextLookMs, onGauge, standingAxles, usualTube } from '@dunlinmoss/domain';

import { tubesStore } from '../../settings/preferences';
import { Choice } from '../../components/Choice';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { day, percent, pressure } from '../../words/format';
import type { AirJob } from '../../hooks/useAirJob';

const TUBE_WORDS: Record<TubeKind, string> = {
  noTube: 'No tube',
  standard: 'Standard tube',
  lowLoss: 'Low-loss tube',
  latex: 'Latex tube',
  extraLight: 'Extra-light tube',
};

/** Standing in the shed: what is lost by itself, and when to look again. */
export function StoragePanel({ job, nowMs }: { readonly job: AirJob; readonly nowMs: number }) {
  const { rig, units } = job;
  const tubes = tubesStore.use();
  const tube = tubes[rig.id] ?? usualTube(rig);
  const axles = standingAxles(job, tube, nowMs);
  const next = nextLookMs(axles);
  if (next === null) return null;
  const late = next <= nowMs;
  return (
    <Unfold
      label="Standing"
      value={late ? 'Look now: it is due' : `Look again on ${day(new Date(next).toISOString())}`}
    >
      <Choice
        label="What holds the air"
        layout="list"
        value={tube}
        options={TUBE_KINDS.map((code) => ({ code, name: TUBE_WORDS[code] }))}
        onChange={(code) => tubesStore.set({ ...tubes, [rig.id]: code })}
      />
      {axles.map(({ position, loss, ownLossADay, isDated, nextMs }) => (
        <Text key={position}>
          {isDated
            ? `${AXLE_WORDS[position]}: about ${pressure(onGauge(loss.thenKpa, units), units)} by ${day(new Date(nextMs).toISOString())}${ownLossADay === null ? '' : `, by your own readings: ${percent(ownLossADay)} a day`}.`
            : `${AXLE_WORDS[position]}: nobody wrote down when it was read.`}
        </Text>
      ))}
      <Text as="small" tone="muted">
        Every ride where it matters; else every four weeks, eight with low-loss tubes, far sooner with latex and
        extra-light ones. Common practice; how much is lost a day is our assumption until two of your readings lie days
        apart.
      </Text>
    </Unfold>
  );
}
