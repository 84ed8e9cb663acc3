import type { FarmAxle } from '@dunlinmoss/core';
import { useEffect, useRef, useState } from 'react';

import { workOutBulb, type BulbAnswer, type BulbQuestion } from '../workers/bulb';
import { startBulb, type BulbThread } from '../workers/bulbWork';

/** A bulb and the axle that it is worked out for. */
export interface BulbOfAxle extends BulbAnswer {
  readonly axle: FarmAxle;
}

const workedOut = (question: BulbQuestion): BulbOfAxle => ({ axle: question.axle, ...workOutBulb(question) });

/** The bulb for a question; while a worker works out the newest one, that of the question before. */
export function useBulb(question: BulbQuestion): BulbOfAxle {
  const [bulb, setBulb] = useState(() => workedOut(question));
  const thread = useRef<BulbThread>(undefined);
  const key = JSON.stringify(question);
  const drawnKey = useRef(key);
  useEffect(() => {
    const started = startBulb((answer, { axle }) => setBulb({ axle, ...answer }));
    thread.current = started;
    return () => started.end();
  }, []);
  useEffect(() => {
    if (key === drawnKey.current) return;
    drawnKey.current = key;
    thread.current!.ask(JSON.parse(key) as BulbQuestion);
  }, [key]);
  return bulb;
}
