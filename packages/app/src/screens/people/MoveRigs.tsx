import { mayAs, type Role } from '@dunlinmoss/contract';

import { moveToCrew, useOwnRigs } from '../../data/people';
import { readAgain } from '../../data/sync';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** One's own machines, brought along into the crew. */
export function MoveRigs({ role }: { readonly role: Role }) {
  const { data: rigs = [], mutate } = useOwnRigs(true);
  const asked = useAsked();
  if (rigs.length === 0) return null;
  return (
    <Unfold label="Bring a machine of mine along">
      <Text as="small" tone="muted">
        It goes with its outings, tests and readings; its log of monitors and its photos stay with you. Among your own
        it is archived, from where it can be brought back.
      </Text>
      {mayAs(role, 'lead') ? (
        rigs.map((rig) => (
          <Action
            key={rig.id}
            label={`Move ${rig.name} to the crew`}
            disabled={asked.busy}
            onPress={() =>
              void asked
                .run(() => moveToCrew(rig))
                .then(async (done) => {
                  if (!done) return;
                  notify(`${rig.name} is with the crew.`);
                  readAgain();
                  await mutate();
                })
            }
          />
        ))
      ) : (
        <Text as="small">A lead of the crew can take machines in: ask for that role, or for their help.</Text>
      )}
      <Trouble {...asked} />
    </Unfold>
  );
}
