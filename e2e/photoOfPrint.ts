import { encode } from 'jpeg-js';

import type { Quad } from '../packages/core/src/print/plane';
import { knownPrint, photograph, type KnownPrint } from '../packages/core/src/testing/syntheticPrint';

export interface TakenPhoto {
  readonly jpeg: Buffer;
  readonly print: KnownPrint;
  /** Corners of the sheet as shares of the photo seen the right way up, from the top left round. */
  readonly corners: readonly (readonly [number, number])[];
}

/** `Exif`, big-endian, one entry: the camera was held so that the picture has to be turned a quarter to the right. */
const EXIF_TURNED = Buffer.from([
  0xff, 0xe1, 0x00, 0x22, 0x45, 0x78, 0x69, 0x66, 0x00, 0x00, 0x4d, 0x4d, 0x00, 0x2a, 0x00, 0x00, 0x00, 0x08, 0x00,
  0x01, 0x01, 0x12, 0x00, 0x03, 0x00, 0x00, 0x00, 0x01, 0x00, 0x06, 0x00, 0x00, 0x00, 0x00, 0x00, 0x00,
]);

/**
 * A photo of one print on a sheet of A3, as a phone takes it: stored lying on its side, with EXIF data that says so. The
 * print's length and width are known exactly.
 */
export function photoOfPrint(lengthMm: number, widthMm: number, scale = 1): TakenPhoto {
  const [width, height] = [900 * scale, 1200 * scale];
  const corners = (
    [
      [0.14, 0.1],
      [0.88, 0.07],
      [0.94, 0.93],
      [0.08, 0.9],
    ] as const
  ).map(([x, y]) => [x * width, y * height] as const) as unknown as Quad;
  const print = knownPrint({
    lengthMm,
    widthMm,
    cornerMm: 28,
    along: 3,
    across: 5,
    grooveMm: 8,
    centre: [150, 212],
    turnedDeg: 2,
  });
  const upright = photograph([print], {
    width,
    height,
    corners,
    sheetMm: [297, 420],
    paper: 226,
    ink: [46, 44, 50],
    falloff: 0.3,
    shadow: 0.25,
    noise: 5,
    blur: scale,
    seed: 11,
  });
  // Stored turned a quarter to the left: what was its top is its left side.
  const stored = Buffer.alloc(4 * width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const from = 4 * (y * width + x);
      const to = 4 * ((width - 1 - x) * height + y);
      for (let channel = 0; channel < 4; channel += 1) stored[to + channel] = upright.data[from + channel]!;
    }
  }
  const plain = encode({ width: height, height: width, data: stored }, 90).data;
  return {
    jpeg: Buffer.concat([plain.subarray(0, 2), EXIF_TURNED, plain.subarray(2)]),
    print,
    corners: corners.map(([x, y]) => [x / width, y / height] as const),
  };
}
