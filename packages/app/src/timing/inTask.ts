let last = 0;
const waiting = new Map<number, () => void>();

const runNow = (key: number): void => {
  const run = waiting.get(key);
  waiting.delete(key);
  run?.();
};

type Send = (key: number) => void;
function newSend(): Send {
  // Where there are no messages a timer does; browsers hold back timers that set one another off, four milliseconds each.
  if (typeof MessageChannel === 'undefined') return (key) => void setTimeout(runNow, 0, key);
  const { port1, port2 } = new MessageChannel();
  port1.onmessage = ({ data }: MessageEvent<number>) => runNow(data);
  return (key) => port2.postMessage(key);
}
let send: Send | undefined;

/** Runs something in a task of its own, behind those that were asked for before; what it gives back lets it be. */
export function inTask(run: () => void): () => void {
  const key = (last += 1);
  waiting.set(key, run);
  (send ??= newSend())(key);
  return () => void waiting.delete(key);
}
