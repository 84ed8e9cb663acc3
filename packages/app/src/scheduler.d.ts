/** The part of React's own scheduler that we ask for; its published types leave it out. */
declare module 'scheduler' {
  /** How long it works before it gives way to the page: a frame at so many frames a second; five milliseconds at 0. */
  export function unstable_forceFrameRate(framesPerSecond: number): void;
}
