import type { NumberedReading } from '../repositories/monitorLog';

/*
 * Readings that were checked and wait to be taken in, in a few bytes each: time as a double, tenths of a kPa, tenths of a °C
 * or a number that is none, the wheel's number.
 */

const EACH = 13;
const NO_TEMP = -32_768;

export function packReadings(readings: readonly NumberedReading[]): Buffer {
  const packed = Buffer.alloc(EACH * readings.length);
  readings.forEach(([wheel, readAt, tenthsKpa, tenthsC], index) => {
    const at = EACH * index;
    packed.writeDoubleBE(readAt.getTime(), at);
    packed.writeUInt16BE(tenthsKpa, at + 8);
    packed.writeInt16BE(tenthsC ?? NO_TEMP, at + 10);
    packed.writeUInt8(wheel, at + 12);
  });
  return packed;
}

export function unpackReadings(packed: Buffer): NumberedReading[] {
  return Array.from({ length: packed.length / EACH }, (_, index) => {
    const at = EACH * index;
    const tenthsC = packed.readInt16BE(at + 10);
    return [
      packed.readUInt8(at + 12),
      new Date(packed.readDoubleBE(at)),
      packed.readUInt16BE(at + 8),
      tenthsC === NO_TEMP ? null : tenthsC,
    ];
  });
}
