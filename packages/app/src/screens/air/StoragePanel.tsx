import { measuredLossADay, storageLoss, TUBE_KINDS, type TubeKind } from '@dunlinmoss/core';
import { inTire, onGauge } from '@dunlinmoss/domain';

import { createStore } from '../../settings/store';
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

/** What holds the air in, by rig: kept on this device. */
const tubesStore = createStore<Readonly<Record<string, TubeKind>>>({}, 'tubes');

const DAY_MS = 86_400_000;
/** Two readings this far apart tell how fast it goes, days. Assumption. */
const FAR_APART_DAYS = 3;

/** Standing in the shed: what is lost by itself, and when to look again. */
export function StoragePanel({
  job,
  onBicycle,
  nowMs,
}: {
  readonly job: AirJob;
  readonly onBicycle: boolean;
  readonly nowMs: number;
}) {
  const { rig, units, wheels } = job;
  const tubes = tubesStore.use();
  const tube = tubes[rig.id] ?? (rig.axles[0]!.tube ? 'standard' : 'noTube');
  const axles = [...new Map(wheels.map((wheel) => [wheel.position, wheel])).values()].flatMap((wheel) => {
    const known = job.known(wheel);
    if (!known) return [];
    const leastKpa = job.planned(wheel)?.lowKpa ?? (wheel.axle.roadKpa ?? known.coldKpa) * 0.9;
    // The newest reading against the one before it, where they lie days apart: one's own rate.
    const before = job.rounds
      .map((round) => inTire({ rig, airings: [], rounds: [round], outings: [] }, wheel))
      .find((each) => each?.at && known.at && Date.parse(known.at) - Date.parse(each.at) > FAR_APART_DAYS * DAY_MS);
    const own =
      before?.at && known.at && before.known === 'read' && known.known === 'read'
        ? measuredLossADay(before.coldKpa, known.coldKpa, (Date.parse(known.at) - Date.parse(before.at)) / DAY_MS)
        : null;
    const from = known.at ? Date.parse(known.at) : nowMs;
    const loss = storageLoss(known.coldKpa, Math.min(leastKpa, known.coldKpa * 0.97), tube, onBicycle, own);
    return [{ wheel, loss, own, nextMs: from + loss.checkDays * DAY_MS }];
  });
  if (axles.length === 0) return null;
  const next = Math.min(...axles.map(({ nextMs }) => nextMs));
  const late = next < nowMs;
  return (
    <Unfold
      label="Standing"
      value={late ? 'Look now, it is due' : `Look again on ${day(new Date(next).toISOString())}`}
    >
      <Choice
        label="What holds the air"
        layout="list"
        value={tube}
        options={TUBE_KINDS.map((code) => ({ code, name: TUBE_WORDS[code] }))}
        onChange={(code) => tubesStore.set({ ...tubes, [rig.id]: code })}
      />
      {axles.map(({ wheel, loss, own, nextMs }) => (
        <Text key={wheel.position}>
          {`${AXLE_WORDS[wheel.position]}: about ${pressure(onGauge(loss.thenKpa, units), units)} by ${day(new Date(nextMs).toISOString())}${own === null ? '' : `, by your own readings: ${percent(own)} a day`}.`}
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
