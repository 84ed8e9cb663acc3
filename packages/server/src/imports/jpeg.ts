/** Parts that say nothing but how the picture is packed: JFIF, tables, frame. All else may tell where or by whom. */
const isOfThePicture = (marker: number): boolean =>
  marker === 0xe0 || // JFIF
  marker === 0xdb || // quantization tables
  marker === 0xc4 || // Huffman tables
  marker === 0xdd || // restart interval
  marker === 0xcc || // arithmetic conditioning
  (marker >= 0xc0 && marker <= 0xcf); // frames

const PROFILE = Buffer.from('ICC_PROFILE\0', 'latin1');
/** A browser says in half a kilobyte which colors these are; a larger profile is a camera's own. */
const LONGEST_PROFILE = 1_024;
const isColorProfile = (bytes: Buffer, at: number, length: number): boolean =>
  bytes[at + 1] === 0xe2 &&
  length <= LONGEST_PROFILE &&
  bytes.subarray(at + 4, at + 4 + PROFILE.length).equals(PROFILE);

/** A picture of more pixels takes a phone's memory to show; a camera's own has half as many. Assumption. */
const MOST_PIXELS = 50_000_000;

/** A frame says how large the picture is; the markers between are tables of others. */
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

/** Whether a frame says a size that can be shown. */
function canBeShown(bytes: Buffer, at: number, length: number): boolean {
  if (length < 8 || at + 9 > bytes.length) return false;
  const pixels = bytes.readUInt16BE(at + 5) * bytes.readUInt16BE(at + 7);
  return pixels > 0 && pixels <= MOST_PIXELS;
}

/**
 * Whether bytes are a JPEG that is nothing but a picture: no EXIF or XMP (APP1), no IPTC (APP13), no other part of a
 * program's own but a small color profile, no comment, nothing behind its end, and not more pixels than a phone can show.
 */
export function isPlainJpeg(bytes: Buffer): boolean {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== 0xd8) return false;
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return false;
    const marker = bytes[at + 1]!;
    const length = bytes.readUInt16BE(at + 2);
    if (marker === 0xda) {
      const end = endOfScan(bytes, at + 2 + length);
      if (end === null) return false;
      if (bytes[end + 1] === 0xd9) return end + 2 === bytes.length;
      at = end;
      continue;
    }
    // A JFIF part longer than its own fields carries a thumbnail.
    if (!(isOfThePicture(marker) || isColorProfile(bytes, at, length)) || (marker === 0xe0 && length !== 16))
      return false;
    if (isFrame(marker) && !canBeShown(bytes, at, length)) return false;
    at += 2 + length;
  }
  return false;
}

/** Where the next marker stands behind the data of a scan; null where there is none. */
function endOfScan(bytes: Buffer, from: number): number | null {
  for (let at = from; at + 1 < bytes.length; at += 1) {
    if (bytes[at] !== 0xff) continue;
    const next = bytes[at + 1]!;
    // 0xff in the data is followed by 0; restart marks belong to it too, and any number of 0xff may fill up.
    if (next === 0x00 || next === 0xff || (next >= 0xd0 && next <= 0xd7)) continue;
    return at;
  }
  return null;
}
