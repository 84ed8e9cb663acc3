import { randomInt } from 'node:crypto';
import net from 'node:net';

/** Below 32768: from there on outgoing connections take ports of their own, also one that was just found free. */
const FROM = 20_000;
const BELOW = 32_000;

/** Whether nobody listens on this port. */
export const isFree = (port) =>
  new Promise((resolve) => {
    const server = net.createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });

/** What was given out here: whoever asked for several listens on none of them yet. */
const given = new Set();

/** A port that nobody listens on just now, that no outgoing connection will take, and that is not given out twice. */
export async function freePort() {
  for (;;) {
    const port = randomInt(FROM, BELOW);
    if (given.has(port) || !(await isFree(port))) continue;
    given.add(port);
    return port;
  }
}
