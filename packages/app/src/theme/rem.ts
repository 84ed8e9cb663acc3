/** What a browser's text size is when nobody changed it, px. */
const USUAL_PX = 16;

const rootPx = (): number =>
  'document' in globalThis ? parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_PX : USUAL_PX;

const scale = rootPx() / USUAL_PX;

/** A text size at the text size that the person set in the browser, px: 16 is one rem. Paper reckons with numbers. */
export const rem = (px: number): number => px * scale;
