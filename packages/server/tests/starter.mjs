import { ownFolder } from '../../../scripts/folder.mjs';
import { startProduct } from '../../../scripts/product.mjs';

/** As `npm start` does it, without building the web application: tells its address, and ends when it is told to. */
const [folder] = process.argv.slice(2);
try {
  await ownFolder({ folder, address: 'a test' });
  const product = await startProduct({ folder, demo: false });
  process.on('SIGTERM', () => void product.stop().then(() => process.exit(0)));
  process.send({ address: product.address, databasePid: product.database.pid, serverPid: product.server.child.pid });
} catch (error) {
  process.send({ problem: error.message });
  process.exit(1);
}
