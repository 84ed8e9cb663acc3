import type { ReactNode } from 'react';

import { Choice } from '../../components/Choice';
import { NeedsRig } from '../../components/NeedsRig';
import { Unfold } from '../../components/Unfold';
import { useAirJob, type AirJob } from '../../hooks/useAirJob';

interface AirQuestionProps {
  readonly title: string;
  readonly children: (job: AirJob, rigChoice: ReactNode) => ReactNode;
}

/** A screen of this place, once its rig is here; with the way to choose another. */
export function AirQuestion({ title, children }: AirQuestionProps) {
  const { job, rigs, loading } = useAirJob();
  if (!job) return <NeedsRig title={title} loading={loading} why="Air needs a rig: which wheels, which tires." />;
  const choice =
    rigs.length > 1 ? (
      <Unfold label="Rig" value={job.rig.name}>
        {(close) => (
          <Choice
            label="Which rig"
            layout="list"
            value={job.rig.id}
            options={rigs.map(({ id, name }) => ({ code: id, name }))}
            onChange={(rig) => {
              job.question.change({ rig });
              close();
            }}
          />
        )}
      </Unfold>
    ) : null;
  return children(job, choice);
}
