import { CALCULATORS } from '@dunlinmoss/contract/api';
import type { Router } from 'express';

import { calculateAside } from '../calculators/heavy';
import { strictRouter } from '../strictRouter';

/** `POST /calc/<name>`: everything the core computes for people. Needs no database. */
export function calculatorRoutes(): Router {
  const router = strictRouter();
  for (const { name, input, run, heavy } of CALCULATORS) {
    router.post(`/${name}`, async (request, response) => {
      const asked = input.parse(request.body);
      response.json(heavy ? await calculateAside(name, asked) : run(asked));
    });
  }
  return router;
}
