import { LOG_FROM, LOG_TO, type LogLineProblem } from '@dunlinmoss/contract';
import { AXLE_POSITIONS, UNITS, WHEEL_CODES } from '@dunlinmoss/core';

import type { LogTuple } from '../repositories/monitorLog';

/** Where the columns of a log stand, in the table's own order. */
export interface LogColumns {
  readonly time: number;
  readonly axle: number;
  readonly wheel: number;
  readonly pressure: number;
  readonly temp: number | null;
  /** Who read it; lines of a gauge travel with their airings and rounds, not here. */
  readonly from: number | null;
  /** kPa in one unit of the pressure column. */
  readonly kpaPerUnit: number;
}

const PRESSURE_COLUMNS: Readonly<Record<string, number>> = {
  pressure_kpa: 1,
  pressure_psi: UNITS.pressure.psi,
  pressure_bar: UNITS.pressure.bar,
};

/** The columns of a header, in any order; null where one is missing. The pressure column says its unit. */
export function logColumns(header: readonly string[]): LogColumns | null {
  const names = header.map((name) => name.trim().toLowerCase());
  const pressureName = names.find((name) => name in PRESSURE_COLUMNS);
  const [time, axle, wheel] = ['time', 'axle', 'wheel'].map((name) => names.indexOf(name)) as [number, number, number];
  if (pressureName === undefined || time < 0 || axle < 0 || wheel < 0) return null;
  const temp = names.indexOf('temp_c');
  const from = names.indexOf('from');
  return {
    time,
    axle,
    wheel,
    pressure: names.indexOf(pressureName),
    temp: temp < 0 ? null : temp,
    from: from < 0 ? null : from,
    kpaPerUnit: PRESSURE_COLUMNS[pressureName]!,
  };
}

const POSITIONS: ReadonlySet<string> = new Set(AXLE_POSITIONS);
const WHEELS: ReadonlySet<string> = new Set(WHEEL_CODES);
const HIGHEST_KPA = 2_000;
/** Digits with a point: no blank, which would be read as 0, and no 0x10. */
const DECIMAL = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i;
const decimal = (text: string): number => (DECIMAL.test(text) ? Number(text) : Number.NaN);
const EARLIEST = new Date(LOG_FROM);
const LATEST = new Date(LOG_TO);
/** A time without a zone would be guessed at: it must say Z or its offset. */
const ZONED = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/;

/**
 * One line of a log, or what is wrong with it; null for one that is read with a gauge and so left alone.
 *
 * @param wheelsOfRig the wheels that the rig has, each as `wheelKey` writes it
 */
export function readLogLine(
  cells: readonly string[],
  columns: LogColumns,
  wheelsOfRig: ReadonlySet<string>,
): LogTuple | LogLineProblem | null {
  const { time, axle, wheel, pressure, temp, from, kpaPerUnit } = columns;
  if (from !== null && cells[from] === 'gauge') return null;
  const timeText = cells[time];
  const pressureText = cells[pressure];
  if (timeText === undefined || pressureText === undefined) return 'columns';
  if (!ZONED.test(timeText)) return 'time';
  const readAt = new Date(timeText);
  if (!(readAt >= EARLIEST && readAt <= LATEST)) return 'time';
  if (!POSITIONS.has(cells[axle]!)) return 'axle';
  if (!WHEELS.has(cells[wheel]!)) return 'wheel';
  if (!wheelsOfRig.has(`${cells[axle]} ${cells[wheel]}`)) return 'noSuchWheel';
  const pressureKpa = decimal(pressureText.trim()) * kpaPerUnit;
  if (!(pressureKpa >= 0 && pressureKpa <= HIGHEST_KPA)) return 'pressure';
  const tempText = temp === null ? '' : (cells[temp] ?? '').trim();
  const tempC = tempText === '' ? null : decimal(tempText);
  if (tempC !== null && !(tempC >= -60 && tempC <= 150)) return 'temp';
  return [cells[axle]!, cells[wheel]!, readAt, pressureKpa, tempC];
}
