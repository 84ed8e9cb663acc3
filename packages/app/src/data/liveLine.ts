/** So long after a line was refused it is opened again, ms. */
const AGAIN_MS = 1_000;

interface LiveLine {
  /** It is open; `again` after it was lost. */
  readonly onOpen?: (again: boolean) => void;
  readonly onLost?: () => void;
  readonly on: Readonly<Record<string, (data: string) => void>>;
}

/**
 * Follows a stream of events for as long as it is not closed. The browser opens a line that broke again by itself, but not
 * one that was refused, as by a balancer with no server behind it: that is done here.
 *
 * @returns closes it
 */
export function followLine(url: string, { onOpen, onLost, on }: LiveLine): () => void {
  let source: EventSource;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let wasLost = false;
  const open = (): void => {
    const opened = new EventSource(url);
    source = opened;
    opened.onopen = () => {
      onOpen?.(wasLost);
      wasLost = false;
    };
    opened.onerror = () => {
      wasLost = true;
      onLost?.();
      if (opened.readyState === EventSource.CLOSED) timer = setTimeout(open, AGAIN_MS);
    };
    for (const [name, take] of Object.entries(on)) {
      opened.addEventListener(name, (event) => take((event as MessageEvent<string>).data));
    }
  };
  open();
  return () => {
    clearTimeout(timer);
    source.close();
  };
}
