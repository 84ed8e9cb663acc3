import { bodyOf, mayAs, type RigRow } from '@dunlinmoss/contract';

import { useCrew } from '../../data/people';
import { save } from '../../data/outbox';
import { roleHere, whoStore } from '../../settings/who';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';

const NOBODY = 'nobody';

/** Who of the crew has a machine just now, and the way to hand it over. Nothing to see outside a crew. */
export function HandOver({ rig }: { readonly rig: RigRow }) {
  const who = whoStore.use();
  const { data: crew } = useCrew(who.crewId);
  const me = who.me?.person;
  if (who.crewId === null || !me || !mayAs(roleHere(who), 'member')) return null;
  const others = (crew?.members ?? []).filter(({ id, role }) => id !== me.id && role !== 'viewer');
  const keeper = [me, ...others].find(({ id }) => id === rig.keeperId);
  const give = async (code: string): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const keeperId = code === NOBODY ? null : code;
    const saved = await save('rigs', { ...before, keeperId });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    const to = others.find(({ id }) => id === keeperId)?.name;
    const now = saved.kind === 'saved' ? saved.row.revision : rig.revision + 1;
    notify(
      keeperId === null ? `${rig.name} is with nobody.` : `${rig.name} is with ${to ?? 'you'} now.`,
      () => void save('rigs', { ...before, revision: now }),
    );
  };
  return (
    <Unfold label="Who has it" value={keeper ? (keeper.id === me.id ? 'You' : keeper.name) : 'Nobody said'}>
      {(close) => (
        <>
          <Choice
            label="Hand it to"
            layout="list"
            value={keeper?.id ?? NOBODY}
            options={[
              { code: me.id, name: `${me.name} (you)` },
              ...others.map(({ id, name }) => ({ code: id, name })),
              { code: NOBODY, name: 'Nobody: it stands' },
            ]}
            onChange={(code) => {
              close();
              void give(code);
            }}
          />
          {!crew && <Text as="small">Who else is in the crew is told once there is a signal.</Text>}
        </>
      )}
    </Unfold>
  );
}
