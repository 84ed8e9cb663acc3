import type { Plane } from './plane';

const { floor, max, min } = Math;

/** Pixels of four bytes each: red, green, blue and one that is not looked at. */
export interface Photo {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** One value a pixel, on even millimetres. Where the photo does not reach it is NaN. */
export interface FlatImage {
  readonly width: number;
  readonly height: number;
  readonly mmPerPx: number;
  readonly data: Float32Array;
}

/** No finer than the eye sees on paper, and no more pixels than are worth the wait. */
const FINEST_MM = 0.4;
const MOST_PX = 1500;
/** Each pixel is the mean of so many by so many looks at the photo. */
const LOOKS = 2;

/**
 * The ground seen straight from above, even in millimetres, dark against light: of a dark mark the least of the three
 * colours, so that paint of any colour is dark on paper; of a light mark the most.
 */
export function flatten(photo: Photo, plane: Plane, mark: 'dark' | 'light'): FlatImage {
  const mmPerPx = max(FINEST_MM, plane.mmPerPx, max(plane.widthMm, plane.heightMm) / MOST_PX);
  const width = max(1, floor(plane.widthMm / mmPerPx));
  const height = max(1, floor(plane.heightMm / mmPerPx));
  const data = new Float32Array(width * height);
  const { data: bytes, width: photoWidth, height: photoHeight } = photo;
  const valueAt = (x: number, y: number): number => {
    const at = 4 * (y * photoWidth + x);
    const [red, green, blue] = [bytes[at]!, bytes[at + 1]!, bytes[at + 2]!];
    return mark === 'dark' ? min(red, green, blue) : 255 - max(red, green, blue);
  };
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      let sum = 0;
      let seen = 0;
      for (let look = 0; look < LOOKS * LOOKS; look += 1) {
        const xMm = plane.leftMm + (column + ((look % LOOKS) + 0.5) / LOOKS) * mmPerPx;
        const yMm = plane.topMm + (row + (floor(look / LOOKS) + 0.5) / LOOKS) * mmPerPx;
        const [px, py] = plane.toPixel(xMm, yMm);
        // Pixels are squares about their middle.
        const [x, y] = [px - 0.5, py - 0.5];
        const [x0, y0] = [floor(x), floor(y)];
        if (x0 < 0 || y0 < 0 || x0 + 1 >= photoWidth || y0 + 1 >= photoHeight) continue;
        const [fx, fy] = [x - x0, y - y0];
        sum +=
          valueAt(x0, y0) * (1 - fx) * (1 - fy) +
          valueAt(x0 + 1, y0) * fx * (1 - fy) +
          valueAt(x0, y0 + 1) * (1 - fx) * fy +
          valueAt(x0 + 1, y0 + 1) * fx * fy;
        seen += 1;
      }
      data[row * width + column] = seen === 0 ? Number.NaN : sum / seen;
    }
  }
  return { width, height, mmPerPx, data };
}
