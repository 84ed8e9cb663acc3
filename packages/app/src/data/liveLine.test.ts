import { followLine } from './liveLine';

/** A stand-in for the browser's own: a line that the test opens, breaks and refuses. */
class Line {
  static readonly CLOSED = 2;
  static opened: Line[] = [];
  readyState = 0;
  onopen: () => void = () => undefined;
  onerror: () => void = () => undefined;
  readonly heard = new Map<string, (event: { data: string }) => void>();
  constructor(readonly url: string) {
    Line.opened.push(this);
  }
  addEventListener(name: string, take: (event: { data: string }) => void): void {
    this.heard.set(name, take);
  }
  close(): void {
    this.readyState = Line.CLOSED;
  }
}

const before = globalThis.EventSource;
beforeEach(() => {
  jest.useFakeTimers();
  Line.opened = [];
  globalThis.EventSource = Line as unknown as typeof EventSource;
});
afterEach(() => {
  jest.useRealTimers();
  globalThis.EventSource = before;
});

describe('a line that is followed', () => {
  it('hands on what it hears, and says when it was lost and is there again', () => {
    const heard: string[] = [];
    const opened: boolean[] = [];
    let lost = 0;
    followLine('/stream', {
      onOpen: (again) => opened.push(again),
      onLost: () => (lost += 1),
      on: { changed: (data) => heard.push(data) },
    });
    const [line] = Line.opened;
    line!.onopen();
    line!.heard.get('changed')!({ data: 'one' });
    // Broken: the browser opens it again by itself.
    line!.readyState = 0;
    line!.onerror();
    jest.advanceTimersByTime(5_000);
    expect(Line.opened).toHaveLength(1);
    line!.onopen();
    expect({ heard, opened, lost }).toEqual({ heard: ['one'], opened: [false, true], lost: 1 });
  });

  it('that was refused is opened again, until it is closed', () => {
    const opened: boolean[] = [];
    const close = followLine('/stream', { onOpen: (again) => opened.push(again), on: {} });
    const refuse = (line: Line): void => {
      line.readyState = Line.CLOSED;
      line.onerror();
    };
    refuse(Line.opened[0]!);
    jest.advanceTimersByTime(1_000);
    expect(Line.opened).toHaveLength(2);
    refuse(Line.opened[1]!);
    jest.advanceTimersByTime(1_000);
    Line.opened[2]!.onopen();
    expect(opened).toEqual([true]);
    refuse(Line.opened[2]!);
    close();
    jest.advanceTimersByTime(10_000);
    expect(Line.opened).toHaveLength(3);
  });
});
