import type { RigCard, RigNextStep, RigPlan, RigRow } from '@dunlinmoss/contract';
import { planQuery, planOut } from '@dunlinmoss/contract/api';
import { familyOf, groundsFor, planGround, type GroundCode, groundOr } from '@dunlinmoss/core';
import { boardOf, planInput, withProof, type PlanRequest, type ProofHistory } from '@dunlinmoss/domain';
import type { Request } from 'express';

import { Refusal } from '../problems';
import { everyRow } from '../repositories/everyRow';
import type { Repositories } from '../repositories/repositories';
import { idOf } from './idOf';
import { Routes } from './declared';

/** `GET /rigs/:id/plan`, `/rigs/:id/next-step` and `/rigs/:id/card`: answers from everything that is kept of a rig. */
export function answerRoutes(repositories: Repositories): Routes {
  const router = new Routes();

  const rigOf = async (request: Request): Promise<RigRow> => {
    const rig = await repositories.rigs.get(request.ownerId, idOf(request.params.id));
    if (!rig) throw new Refusal('notFound');
    return rig;
  };
  /** Everything that was proved with a rig. */
  const proofOf = async (request: Request, { id: rigId }: RigRow): Promise<ProofHistory> => ({
    tests: await everyRow(repositories.tests, request.ownerId, { rigId }),
    outings: await everyRow(repositories.outings, request.ownerId, { rigId }),
  });

  router.get('/rigs/:id/plan', 'viewer', async (request, response) => {
    const { ground, speedKmh = null, ...asked } = planQuery.parse(request.query);
    const rig = await rigOf(request);
    const proof = await proofOf(request, rig);
    const on = groundOr(familyOf(rig.family), ground);
    response.json(planFor(rig, proof, { ...asked, ground: ground ?? on, speedKmh }));
  });

  router.get('/rigs/:id/next-step', 'viewer', async (request, response) => {
    const rig = await rigOf(request);
    const { ownerId } = request;
    const ofRig = { rigId: rig.id };
    const outings = await everyRow(repositories.outings, ownerId, ofRig);
    // As Today has it: a machine that stands low is told of though no outing is under way.
    const entry = boardOf({
      rigs: [rig],
      outings,
      airings: await everyRow(repositories.airings, ownerId, ofRig),
      rounds: await everyRow(repositories.readings, ownerId, ofRig),
      tests: await everyRow(repositories.tests, ownerId, ofRig),
      nowMs: Date.now(),
    }).now[0];
    const answer: RigNextStep = {
      step: entry?.step ?? 'start',
      outingId: entry?.outing?.id ?? null,
      pressures: entry?.outing?.pressures ?? [],
    };
    response.json(answer);
  });

  router.get('/rigs/:id/card', 'viewer', async (request, response) => {
    const { loadCaseId } = planQuery.pick({ loadCaseId: true }).parse(request.query);
    const rig = await rigOf(request);
    const proof = await proofOf(request, rig);
    const answer: RigCard = {
      rigId: rig.id,
      name: rig.name,
      loadCaseId: loadCaseId ?? rig.loadCaseId,
      grounds: groundsFor(familyOf(rig.family)).map((ground: GroundCode) => ({
        ground,
        plan: planFor(rig, proof, { ground, modifiers: [], speedKmh: null, loadCaseId, stuckAccepted: true }),
      })),
    };
    response.json(answer);
  });

  return router;
}

function planFor(rig: RigRow, proof: ProofHistory, asked: PlanRequest): RigPlan {
  const input = planInput(rig, proof.tests, withProof(rig, proof, asked, Date.now()));
  const plan = input.ok ? planGround(input.value) : input;
  return plan.ok ? { ok: true, value: planOut(plan.value) } : { ok: false, problem: { ...plan.problem } };
}
