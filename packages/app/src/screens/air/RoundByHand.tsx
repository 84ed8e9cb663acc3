import { Unfold } from '../../components/Unfold';
import type { AirJob } from '../../hooks/useAirJob';
import { RoundFields } from './RoundFields';

/** A round with the gauge, held against what was set. */
export const ByHand = ({ job }: { readonly job: AirJob }) => (
  <Unfold label="Read a round by hand">
    <RoundFields job={job} occasion="watch" button="Keep this round" />
  </Unfold>
);
