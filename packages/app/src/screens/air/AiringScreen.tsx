import { AirQuestion } from './AirQuestion';
import { AiringUnderWay } from './AiringUnderWay';
import { PrepareAiring } from './PrepareAiring';

const TITLES = { out: 'Let air out', in: 'Put air in' } as const;

/** Air out of every wheel, or back into it, one after the other: got ready, or under way. */
function AiringScreen({ way }: { readonly way: 'out' | 'in' }) {
  return (
    <AirQuestion title={TITLES[way]}>
      {(job, choice) => {
        const open = job.airings.find((airing) => airing.endedAt === null && airing.way === way);
        return open ? (
          <AiringUnderWay key={open.id} job={job} airing={open} title={TITLES[way]} />
        ) : (
          <PrepareAiring key={`${way} ${job.rig.id}`} job={job} way={way} title={TITLES[way]} choice={choice} />
        );
      }}
    </AirQuestion>
  );
}

export const AirOutScreen = () => <AiringScreen way="out" />;
export const AirInScreen = () => <AiringScreen way="in" />;
