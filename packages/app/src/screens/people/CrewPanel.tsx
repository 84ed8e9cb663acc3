import { mayAs, ROLES, type Crew, type Role } from '@dunlinmoss/contract';
import { useState } from 'react';

import { changeRole, codeFor, deleteCrew, leaveCrew, letGo, useCrew } from '../../data/people';
import { whoStore } from '../../settings/who';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { Unfold } from '../../components/Unfold';
import { day } from '../../words/format';
import { ROLE_WORDS } from '../../words/people';
import { Invite } from './Invite';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

interface CrewPanelProps {
  readonly crewId: string;
  readonly role: Role;
}

/** Who is in a crew, and what they may do; for leads, the way to change that. */
export function CrewPanel({ crewId, role }: CrewPanelProps) {
  const { data: crew, error, mutate } = useCrew(crewId);
  const myId = whoStore.use().me?.person?.id;
  const asked = useAsked();
  if (!crew) {
    return error ? (
      <Panel>
        <Text>Who is in the crew is not known here without a signal. Its machines are.</Text>
      </Panel>
    ) : (
      <Loading />
    );
  }
  return (
    <>
      <Panel title={crew.name}>
        {crew.members.map((member) => (
          <Member
            key={member.id}
            crewId={crewId}
            member={member}
            isMe={member.id === myId}
            mine={role}
            onChanged={() => void mutate()}
          />
        ))}
        <Trouble {...asked} />
        <Action label="Leave the crew" disabled={asked.busy} onPress={() => void asked.run(() => leaveCrew(crewId))} />
      </Panel>
      {mayAs(role, 'lead') && <Invite crew={crew} onChanged={() => void mutate()} />}
      {role === 'own' && <DeleteCrew crew={crew} />}
    </>
  );
}

/** Not by a slip: its name has to be typed. */
function DeleteCrew({ crew }: { readonly crew: Crew }) {
  const [name, setName] = useState('');
  const asked = useAsked();
  return (
    <Unfold label="Delete the crew">
      <Text as="small">
        Every machine, outing, test and reading of it is deleted for good, for everybody in it; save them as a file
        first (Rigs, Files). This can’t be undone.
      </Text>
      <TextField label="Name of the crew, to be sure" value={name} onChange={setName} />
      <Trouble {...asked} />
      <Action
        kind="hurt"
        label="Delete it for good"
        disabled={asked.busy || name.trim() !== crew.name}
        onPress={() => void asked.run(() => deleteCrew(crew.id, crew.name))}
      />
    </Unfold>
  );
}

interface MemberProps {
  readonly crewId: string;
  readonly member: Crew['members'][number];
  readonly isMe: boolean;
  readonly mine: Role;
  readonly onChanged: () => void;
}

function Member({ crewId, member, isMe, mine, onChanged }: MemberProps) {
  const asked = useAsked();
  const [code, setCode] = useState<string>();
  const { id, name, role, joinedAt } = member;
  const may = !isMe && (mine === 'own' || (mine === 'lead' && role !== 'own'));
  const label = isMe ? `${name} (you)` : name;
  if (!may) {
    return <Text>{`${label}: ${ROLE_WORDS[role].name.toLowerCase()}, since ${day(joinedAt)}`}</Text>;
  }
  const change = (work: () => Promise<unknown>): void => void asked.run(work).then((done) => done && onChanged());
  return (
    <Unfold label={label} value={ROLE_WORDS[role].name}>
      <Choice
        label="Is here as"
        layout="list"
        value={role}
        options={ROLES.filter((each) => each !== 'own' || mine === 'own').map((each) => ({
          code: each,
          name: ROLE_WORDS[each].name,
          note: `Can ${ROLE_WORDS[each].may}`,
        }))}
        onChange={(next) => change(() => changeRole(crewId, id, next))}
      />
      {code === undefined ? (
        <Action
          label="Forgot the pass-phrase: give a code"
          disabled={asked.busy}
          onPress={() => void asked.run(async () => setCode(await codeFor(crewId, id)))}
        />
      ) : (
        <Text>{`${code}: good once, for a day, with the name ${name}. Tell it to nobody else.`}</Text>
      )}
      <Trouble {...asked} />
      <Action
        kind="hurt"
        label={`Let ${name} go`}
        disabled={asked.busy}
        onPress={() => change(() => letGo(crewId, id))}
      />
    </Unfold>
  );
}
