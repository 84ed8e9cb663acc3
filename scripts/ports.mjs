import net from 'node:net';

const listen = (port) =>
  new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const { port: taken } = server.address();
      server.close(() => resolve(taken));
    });
  });

/** A port that nobody listens on just now. */
export const freePort = () => listen(0);

/** Whether nobody listens on this port. */
export const isFree = (port) =>
  listen(port).then(
    () => true,
    () => false,
  );
