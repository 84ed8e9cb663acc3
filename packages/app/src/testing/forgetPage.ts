import { mutate } from 'swr';

import { forgetDevice } from '../data/device';
import { forgetDeviceRows } from '../data/deviceRows';
import { forgetOutbox } from '../data/outbox';

/** As the page is loaded again: everything in memory is gone, what is in the store of the device is not. */
export async function forgetPage(): Promise<void> {
  forgetOutbox();
  forgetDeviceRows();
  forgetDevice();
  await mutate(() => true, undefined, { revalidate: false });
}
