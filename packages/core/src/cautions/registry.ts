import { airBeforePavement } from './airBeforePavement';
import type { Caution, CautionContext } from './caution';
import { brakingOnSnow } from './brakingOnSnow';
import { chassisAground } from './chassisAground';
import { clearanceLost } from './clearanceLost';
import { dampersStillCount } from './dampersStillCount';
import { deepMudWithBottom } from './deepMudWithBottom';
import { drivingOnSand } from './drivingOnSand';
import { fasterThanGuide } from './fasterThanGuide';
import { firstPass } from './firstPass';
import { foldsInTurn } from './foldsInTurn';
import { gentleTurns } from './gentleTurns';
import { hotSandIsSofter } from './hotSandIsSofter';
import { judgeByWorstHit } from './judgeByWorstHit';
import { mixedTires } from './mixedTires';
import { ratedAtUnknown } from './ratedAtUnknown';
import { loadUnknown } from './loadUnknown';
import { lookAtTread } from './lookAtTread';
import { lookEveryRide } from './lookEveryRide';
import { noAirNear } from './noAirNear';
import { notForHighway } from './notForHighway';
import { overruled } from './overruled';
import { plowLoad } from './plowLoad';
import { pressureMonitors } from './pressureMonitors';
import { pushesWide } from './pushesWide';
import { recoveryGear } from './recoveryGear';
import { seedbedRuts } from './seedbedRuts';
import { sidewallOnRock } from './sidewallOnRock';
import { sidewallUnread } from './sidewallUnread';
import { speedAndHeat } from './speedAndHeat';
import { stiffCarcass } from './stiffCarcass';
import { stuckOnly } from './stuckOnly';
import { sustainedTorque } from './sustainedTorque';
import { trailerOnSand } from './trailerOnSand';
import { tubePinch } from './tubePinch';
import { valveCreep } from './valveCreep';

/** Everything that can hurt someone, in the order shown: dangers first. */
export const CAUTIONS = [
  stuckOnly,
  mixedTires,
  notForHighway,
  fasterThanGuide,
  speedAndHeat,
  gentleTurns,
  airBeforePavement,
  brakingOnSnow,
  noAirNear,
  valveCreep,
  foldsInTurn,
  chassisAground,
  recoveryGear,
  drivingOnSand,
  hotSandIsSofter,
  trailerOnSand,
  sidewallOnRock,
  deepMudWithBottom,
  dampersStillCount,
  judgeByWorstHit,
  tubePinch,
  lookAtTread,
  pushesWide,
  plowLoad,
  firstPass,
  seedbedRuts,
  sustainedTorque,
  loadUnknown,
  ratedAtUnknown,
  sidewallUnread,
  stiffCarcass,
  clearanceLost,
  pressureMonitors,
  lookEveryRide,
  overruled,
] as const satisfies readonly Caution[];

export type CautionCode = (typeof CAUTIONS)[number]['code'];
export const CAUTION_CODES = CAUTIONS.map(({ code }) => code);

/** The cautions that apply, dangers first. */
export const cautionsFor = (context: CautionContext): CautionCode[] =>
  CAUTIONS.filter((caution) => caution.applies(context)).map(({ code }) => code);

export const cautionSeverity = (code: CautionCode): Caution['severity'] =>
  CAUTIONS.find((caution) => caution.code === code)!.severity;
