import { rmSync } from 'node:fs';

export default async function tearDown() {
  await globalThis.__database.stop();
  rmSync(globalThis.__databaseFolder, { recursive: true, force: true });
}
