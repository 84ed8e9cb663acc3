import type { Rig } from '@dunlinmoss/contract';
import {
  isTrailer,
  usualValve,
  VALVES,
  type RigFormField,
  type Family,
  type Likely,
  type LikelyValues,
} from '@dunlinmoss/core';

import { gaugeOffsets, useGauges } from '../../data/gauges';
import { useHoldsAsked } from '../../forms/askedField';
import { RowPressure, RowQuantity, usePicked, type NumberPlace } from '../../forms/fields';
import { withValue } from '../../forms/rowForm';
import { useValue, type OpenForm } from '../../forms/useRowForm';
import { Choice } from '../../components/Choice';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { ROAD_WORDS } from '../../words/families';
import { VALVE_WORDS } from '../../words/tools';

interface AxleFieldsProps {
  readonly form: OpenForm<Rig>;
  readonly index: number;
  readonly family: Family;
  readonly name: string;
}

/** What belongs to an axle and not to its tires: pressures, place, rating. */
export function AxleFields({ form, index, family, name }: AxleFieldsProps) {
  const position = useValue<Rig, Rig['axles'][number]['position']>(form, `/axles/${index}/position`);
  const [wheels, pickWheels] = usePicked<Rig, number>(form, `/axles/${index}/wheels`);
  const [valve, pickValve] = usePicked<Rig, Rig['axles'][number]['valve']>(form, `/axles/${index}/valve`);
  const [driven, pickDriven] = usePicked<Rig, boolean>(form, `/axles/${index}/driven`);
  const holdsAsked = useHoldsAsked(['present', 'behindMm', 'trackMm', 'ratingKg']);
  const towed = isTrailer(position);
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  const likely = <Key extends keyof LikelyValues>(key: Key): LikelyValues[Key] | null =>
    towed && family.code !== 'farmTrailer' ? null : family.likely[key];
  const origin = index === 0 && !towed;
  const road = ROAD_WORDS[family.kind];
  return (
    <>
      <RowPressure
        form={form}
        at={`/axles/${index}/roadKpa`}
        label={road.label}
        spoken={`${name}: ${road.label.toLowerCase()}`}
        usual={likely('roadKpa')}
        confirmed={[`/axles/${index}/confirmedRoadKpa`]}
        hint={road.hint}
      />
      <Unfold label={`In it now, where it stands${asks('axleRating') ? ', its rating' : ''}`} startsOpen={holdsAsked}>
        <PresentFields form={form} index={index} name={name} usual={letDown(likely('roadKpa'))} />
        {!origin && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/behindMm`}
            label={towed ? 'Behind the coupling' : 'Behind the front axle'}
            spoken={`${name}: ${towed ? 'behind the coupling' : 'behind the front axle'}`}
            quantity="length"
            likely={likely('wheelbaseMm')}
            hint="From hub to hub. A common one until you measure it."
          />
        )}
        {wheels > 1 && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/trackMm`}
            label="Track"
            spoken={`${name}: track`}
            quantity="length"
            likely={likely('trackMm')}
            hint={
              wheels === 4
                ? 'From the middle of the left pair to that of the right.'
                : 'From the middle of the left wheel to that of the right.'
            }
          />
        )}
        {asks('pairs') && position !== 'front' && !towed && (
          <Toggle
            label="Pairs of wheels"
            note="Two tires on each side"
            value={wheels === 4}
            onChange={(on) => pickWheels(on ? 4 : 2)}
          />
        )}
        {asks('driven') && !towed && <Toggle label="Driven" value={driven} onChange={pickDriven} />}
        {asks('axleRating') && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/ratingKg`}
            label="Axle rating"
            spoken={`${name}: axle rating`}
            quantity="mass"
            hint="From the maker's plate, if you like."
          />
        )}
        <Choice
          label="Valve"
          value={valve ?? ''}
          options={[
            { code: '' as const, name: 'As usual', note: VALVE_WORDS[usualValve(family.kind)].name },
            ...VALVES.map((code) => ({ code, name: VALVE_WORDS[code].name })),
          ]}
          onChange={(code) => pickValve(code === '' ? null : code)}
        />
      </Unfold>
    </>
  );
}

/** What is in a tire may be a good deal less than on the road. */
const letDown = (usual: Likely | null): Likely | null => usual && { low: usual.low / 3, high: usual.high };

/** What was read in an axle's tires: with its gauge, or not at all. */
const presentPlace = (index: number): NumberPlace<Rig> => ({
  key: `/axles/${index}/present/rawKpa`,
  read: ({ axles }) => axles[index]!.present?.rawKpa ?? null,
  write: (row, rawKpa) => {
    const { gaugeId = null, offsetKpa = 0 } = row.axles[index]!.present ?? {};
    return withValue(row, `/axles/${index}/present`, rawKpa === null ? null : { rawKpa, gaugeId, offsetKpa });
  },
});

/** What is in an axle's tires now, and with which gauge it was read. */
function PresentFields({
  form,
  index,
  name,
  usual,
}: Pick<AxleFieldsProps, 'form' | 'index' | 'name'> & { readonly usual: Likely | null }) {
  const gauges = useGauges();
  const [present, pickPresent] = usePicked<Rig, Rig['axles'][number]['present']>(form, `/axles/${index}/present`);
  return (
    <>
      <RowPressure
        form={form}
        at={presentPlace(index)}
        label="Read on the gauge now"
        spoken={`${name}: read on the gauge now`}
        usual={usual}
        hint="Kept as read; the gauge's own offset is taken off."
      />
      {gauges.length > 0 && present && (
        <Choice
          label="Which gauge"
          value={present.gaugeId ?? ''}
          options={[
            { code: '', name: 'Taken as true' },
            ...gauges.map((gauge) => ({ code: gauge.id, name: gauge.name })),
          ]}
          onChange={(id) =>
            pickPresent({ ...present, gaugeId: id || null, offsetKpa: gaugeOffsets(gauges).get(id) ?? 0 })
          }
        />
      )}
    </>
  );
}
