import { encode } from 'jpeg-js';

import { knownPrint, photograph } from '../packages/core/src/testing/syntheticPrint';
import type { Question } from './photoOfPrint';

/*
 * Run on its own: writes to its output the photo of one print on a sheet of A3, as a phone takes it, stored lying on its
 * side with EXIF data that says so.
 */

/** `Exif`, big-endian, one entry: the picture has to be turned a quarter to the right. */
const EXIF_TURNED = Buffer.from([
  0xff, 0xe1, 0x00, 0x22, 0x45, 0x78, 0x69, 0x66, 0x00, 0x00, 0x4d, 0x4d, 0x00, 0x2a, 0x00, 0x00, 0x00, 0x08, 0x00,
  0x01, 0x01, 0x12, 0x00, 0x03, 0x00, 0x00, 0x00, 0x01, 0x00, 0x06, 0x00, 0x00, 0x00, 0x00, 0x00, 0x00,
]);

const { lengthMm, widthMm, corners, width, height } = JSON.parse(process.argv[2]!) as Question;
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
  corners: corners.map(([x, y]) => [x * width, y * height]) as never,
  sheetMm: [297, 420],
  paper: 226,
  ink: [46, 44, 50],
  falloff: 0.3,
  shadow: 0.25,
  noise: 5,
  blur: 1,
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
process.stdout.write(Buffer.concat([plain.subarray(0, 2), EXIF_TURNED, plain.subarray(2)]));
