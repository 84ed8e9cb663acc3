/** Why a file gives no track. */
export const TRACK_PROBLEMS: Record<'tooLong' | 'entities' | 'unreadable' | 'noLine' | 'outOfRange', string> = {
  tooLong: 'This file is larger than any day’s track. Take a part of it.',
  entities: 'This file defines words of its own, as no track needs to: it is not read.',
  unreadable: 'This is no GPX or GeoJSON file, or a part of it is missing.',
  noLine: 'There is no track in it: a line of two points or more.',
  outOfRange: 'Points of it lie beyond the poles or around the earth: longitude and latitude may be swapped.',
};
