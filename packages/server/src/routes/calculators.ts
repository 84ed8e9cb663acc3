import { CALCULATORS } from '@dunlinmoss/contract/api';
import { Router } from 'express';

/** `POST /calc/<name>`: everything the core computes for people. Needs no database. */
export function calculatorRoutes(): Router {
  const router = Router();
  for (const { name, input, run } of CALCULATORS) {
    router.post(`/${name}`, (request, response) => {
      response.json(run(input.parse(request.body)));
    });
  }
  return router;
}
