import { CALCULATORS } from '@dunlinmoss/contract/api';

import { calculateAside } from '../calculators/heavy';
import { Routes } from './declared';

/** `POST /calc/<name>`: everything the core computes for people. Needs no database. */
export function calculatorRoutes(): Routes {
  const router = new Routes();
  for (const { name, input, run, heavy } of CALCULATORS) {
    router.post(`/${name}`, 'viewer', async (request, response) => {
      const asked = input.parse(request.body);
      response.json(heavy ? await calculateAside(name, asked) : run(asked));
    });
  }
  return router;
}
