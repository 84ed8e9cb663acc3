import { deflectionMm, isTrailer, levers, rutDepthM, shareDrivenOn } from '@dunlinmoss/core';
import { bulb } from '@dunlinmoss/core/bulb';
import { axleOnField, axlesInTrack, depthsOf, FIELD_DEPTHS, leastFor } from '@dunlinmoss/domain';
import { memo, useEffect, useRef } from 'react';

import { Bulb, BULB, bulbMoving } from '../../pictures/Bulb';
import { writerOf, type Writer } from '../../pictures/moving';
import type { Live } from '../../settings/live';
import { usePalette } from '../../theme/useLight';
import { DEPTH_WORDS } from '../../words/depth';
import { length, percent } from '../../words/format';
import { DepthResult } from './DepthResult';
import { startBulb } from '../../workers/bulbWork';
import { asTried, soilTried, workedOut, type Dragged, type Work } from './depthWork';

/** What the levers try: leaving a quarter of the load behind, and waiting some days. */
const LESS_LOAD = 0.25;
const WAIT_DAYS = 4;

interface FollowingProps {
  readonly work: Work;
  /** What a finger drags: the picture follows it, worked out beside the page and written into it. */
  readonly by: Live<Dragged>;
}

/** The bulb below the tire, following the finger. */
export function FollowingBulb({ work, by }: FollowingProps) {
  const box = useRef<HTMLDivElement>(null);
  const latest = useRef(work);
  const writer = useRef<Writer>(undefined);
  useEffect(() => {
    latest.current = work;
    // React may have drawn others.
    writer.current = undefined;
  });
  useEffect(() => {
    const thread = startBulb(({ bands, atM, chances }, { axle }) =>
      (writer.current ??= writerOf(box.current!)).all(bulbMoving({ axle, bands, atM, chances })),
    );
    const stop = by.follow((dragged) => {
      const tried = { ...latest.current, dragged };
      const depths = depthsOf(tried.field);
      thread.ask({
        axle: asTried(tried).axle,
        soil: soilTried(tried),
        depthsM: FIELD_DEPTHS.map((depth) => depths[depth]),
        across: BULB,
      });
    });
    return () => {
      stop();
      thread.end();
    };
  }, [by]);
  return (
    <div ref={box} style={{ contain: 'layout', minWidth: 0 }}>
      <Picture work={work} />
    </div>
  );
}

/** The bulb below the tire. */
const Picture = memo(function Picture({ work }: { readonly work: Work }) {
  const palette = usePalette();
  const { rootsToMm } = work;
  const { units } = work.question;
  const { axle, soil, depths, pressed } = workedOut(work);
  const atM = pressed.worstAtM;
  return (
    <Bulb
      axle={axle}
      bands={bulb(axle, soil, pressed, { atM, ...BULB })}
      atM={atM}
      lines={FIELD_DEPTHS.map((depth, index) => ({
        name: DEPTH_WORDS[depth].toLowerCase(),
        depthM: depths[depth],
        chance: pressed.depths[index]!.chance,
      }))}
      rootsM={rootsToMm === null ? null : rootsToMm / 1000}
      label={`Soil that gives way below the tire: ${pressed.depths.map(({ depthM, chance }) => `${length(1000 * depthM, units)} ${percent(chance)}`).join(', ')}`}
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
