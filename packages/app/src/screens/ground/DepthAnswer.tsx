import { deflectionMm, isTrailer, levers, rutDepthM, shareDrivenOn } from '@dunlinmoss/core';
import { axleOnField, axlesInTrack, depthsOf, FIELD_DEPTHS, leastFor } from '@dunlinmoss/domain';
import { memo } from 'react';

import { useBulb } from '../../hooks/useBulb';
import { Bulb, BULB } from '../../pictures/Bulb';
import { usePalette } from '../../theme/useLight';
import { DEPTH_WORDS } from '../../words/depth';
import { length, percent } from '../../words/format';
import { DepthResult } from './DepthResult';
import { asTried, soilTried, workedOut, type Work } from './depthWork';

/** What the levers try: leaving a quarter of the load behind, and waiting some days. */
const LESS_LOAD = 0.25;
const WAIT_DAYS = 4;

/** The bulb below the tire, as it is dragged: worked out beside the page. */
export const BulbPanel = memo(function BulbPanel({ work }: { readonly work: Work }) {
  const palette = usePalette();
  const { units } = work.question;
  const depths = depthsOf(work.field);
  const { axle, bands, atM, chances } = useBulb({
    axle: asTried(work).axle,
    soil: soilTried(work),
    depthsM: FIELD_DEPTHS.map((depth) => depths[depth]),
    across: BULB,
  });
  const lines = FIELD_DEPTHS.map((depth, index) => ({
    name: DEPTH_WORDS[depth].toLowerCase(),
    depthM: depths[depth],
    chance: chances[index]!,
  }));
  return (
    <Bulb
      axle={axle}
      bands={bands}
      atM={atM}
      lines={lines}
      rootsM={work.rootsToMm === null ? null : work.rootsToMm / 1000}
      label={`Soil that gives way below the tire: ${lines.map(({ depthM, chance }) => `${length(1000 * depthM, units)} ${percent(chance)}`).join(', ')}`}
      units={units}
      palette={palette}
    />
  );
});

/** What it comes to in words, and what helps. */
export const Answer = memo(function Answer({ work }: { readonly work: Work }) {
  const { question, plan, contexts, at, field, cone } = work;
  const { axle, soil, depthsM, pressed, pressureKpa } = workedOut(work);
  const context = contexts[at]!;
  const helps = levers({
    axle,
    field: soil,
    depthsM,
    leastKpa: leastFor(context),
    lessLoad: LESS_LOAD,
    waitDays: WAIT_DAYS,
    fewestPasses: axlesInTrack(question.rig, contexts, at),
    takesDuals: !isTrailer(context.axle.position),
  });
  const bendM = deflectionMm(context.build, axle.tire.loadKg, pressureKpa) / 1000;
  const share = shareDrivenOn(
    contexts.map((_, index) => axleOnField(question.rig, contexts, index, plan.axles[index]!.startKpa, field.times)),
    field.workingWidthMm / 1000,
  );
  return (
    <DepthResult
      pressed={pressed}
      helps={helps}
      share={share}
      rutM={cone && rutDepthM(axle.tire, bendM, cone.coneKpa)}
      field={field}
      units={question.units}
    />
  );
});
