import { expose } from 'comlink';

import { workOutBulb } from './bulb';

/** Works the bulb out beside the page: it takes longer than a frame has. */
const work = { draw: workOutBulb };

export type BulbWork = typeof work;

expose(work);
