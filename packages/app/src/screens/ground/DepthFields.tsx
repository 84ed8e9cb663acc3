import { TEXTURE_CODES } from '@dunlinmoss/core';
import type { FieldWords, OwnStrength } from '@dunlinmoss/domain';

import { Choice } from '../../components/Choice';
import { Slider } from '../../components/Slider';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import type { Units } from '../../settings/preferences';
import { TEXTURE_WORDS, workedText } from '../../words/depth';
import { day, distance, length, percent } from '../../words/format';
import { fieldStore, useConeStore } from './depthWork';

const DEEPEST_TILLAGE_MM = 350;
const TIMES = [1, 2, 4, 8];

/** A field in its farmer's words: what it is, and how it is worked. */
export function DepthFields({ cone, units }: { readonly cone: OwnStrength | undefined; readonly units: Units }) {
  const field = fieldStore.use();
  const takesCone = useConeStore.use();
  const set = (change: Partial<FieldWords>): void => fieldStore.set({ ...field, ...change });
  return (
    <>
      <Unfold label="Soil" value={TEXTURE_WORDS[field.texture].name}>
        {(close) => (
          <Choice
            label="Soil"
            layout="list"
            value={field.texture}
            options={TEXTURE_CODES.map((code) => ({
              code,
              name: TEXTURE_WORDS[code].name,
              note: TEXTURE_WORDS[code].sign,
            }))}
            onChange={(texture) => {
              set({ texture });
              close();
            }}
          />
        )}
      </Unfold>
      <Unfold label="How it is worked" value={workedText(field, units)}>
        <Slider
          label="Loosened this season, and not settled, down to"
          shown={field.looseToMm === 0 ? 'not loosened' : length(field.looseToMm, units)}
          value={field.looseToMm}
          min={0}
          max={DEEPEST_TILLAGE_MM}
          step={10}
          onChange={(looseToMm) => set({ looseToMm })}
        />
        <Slider
          label="Tracks lie apart"
          shown={distance(field.workingWidthMm / 1000, units)}
          value={field.workingWidthMm}
          min={1_500}
          max={48_000}
          step={500}
          onChange={(workingWidthMm) => set({ workingWidthMm })}
        />
        <Choice
          label="Times along a track"
          value={String(field.times)}
          options={TIMES.map((times) => ({ code: String(times), name: times === 1 ? 'once' : `${times} times` }))}
          onChange={(times) => set({ times: Number(times) })}
        />
      </Unfold>
      {cone && (
        <Toggle
          label={`As wet as on ${day(cone.at)}: go by my ${cone.by} of that day, ${percent(cone.factor)} of what such soil has`}
          value={takesCone}
          onChange={(on) => useConeStore.set(on)}
        />
      )}
    </>
  );
}
