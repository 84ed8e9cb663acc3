import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { ROOT } from '../prepare.mjs';

const STARTER = path.join(ROOT, 'packages/server/tests/starter.mjs');

const gaugeOf = (id) => ({
  id,
  revision: 0,
  name: `G ${id.slice(0, 8)}`,
  fromKpa: 0,
  fullScaleKpa: 400,
  gradePercent: 1,
  comparisons: [],
});

/** Saves gauges one after the other until told to stop; a save without an answer is sent again, as a phone would. */
async function saver(state) {
  while (!state.over) {
    const gauge = gaugeOf(randomUUID());
    for (;;) {
      if (state.over) return;
      const status = state.address
        ? await fetch(`${state.address}/api/v1/gauges/${gauge.id}`, {
            method: 'PUT',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(gauge),
            signal: AbortSignal.timeout(5_000),
          }).then(
            (response) => response.status,
            () => 0,
          )
        : 0;
      if (status === 200) {
        state.answered.push(gauge.id);
        break;
      }
      await sleep(50);
    }
  }
}

const kill = (pid) => {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It had ended.
  }
};

export async function killsSurvived(folder, rounds) {
  const state = { address: null, answered: [], over: false };
  const savers = Array.from({ length: 6 }, () => saver(state));
  let survived = 0;
  const begin = async () => {
    const child = spawn(process.execPath, [STARTER, folder], { stdio: ['ignore', 'ignore', 'ignore', 'ipc'] });
    const told = await new Promise((resolve) => {
      child.once('message', resolve);
      child.once('exit', () => resolve({}));
    });
    state.address = told.address ?? null;
    return { child, told };
  };
  let { child, told } = await begin();
  for (let round = 0; round < rounds; round += 1) {
    await sleep(300 + ((round * 617) % 1_500));
    state.address = null;
    // In turn: all of it at once, the starter alone, the server and then the starter.
    if (round % 3 === 0) kill(told.databasePid);
    if (round % 3 === 2) kill(told.serverPid);
    kill(child.pid);
    ({ child, told } = await begin());
    if (told.address) survived += 1;
  }
  await sleep(1_000);
  state.over = true;
  await Promise.all(savers);
  const there = new Map();
  for (let after = ''; after !== null;) {
    const page = await (await fetch(`${told.address}/api/v1/gauges?limit=100${after}`)).json();
    for (const { id, revision } of page.items) there.set(id, [...(there.get(id) ?? []), revision]);
    after = page.next === null ? null : `&after=${page.next}`;
  }
  child.kill('SIGTERM');
  await new Promise((resolve) => child.once('exit', resolve));
  rmSync(folder, { recursive: true, force: true });
  return {
    kills: rounds,
    survived,
    answered: state.answered.length,
    lost: state.answered.filter((id) => !there.has(id)).length,
    doubled: [...there.values()].filter((revisions) => revisions.length > 1 || revisions[0] !== 1).length,
  };
}
