import { useMe, switchTo } from '../../data/people';
import { spaceOf, whoStore } from '../../settings/who';
import { Choice } from '../../components/Choice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Unfold } from '../../components/Unfold';
import { ROLE_WORDS } from '../../words/people';
import { CrewPanel } from './CrewPanel';
import { LetOthersIn } from './LetOthersIn';
import { MakeCrew } from './MakeCrew';
import { MoveRigs } from './MoveRigs';
import { YouPanel } from './YouPanel';

/** Who works with these machines, and whose machines are looked at. */
export function CrewScreen() {
  useMe();
  const who = whoStore.use();
  const { me } = who;
  if (!me) {
    return (
      <Page title="Crew">
        <Loading />
      </Page>
    );
  }
  if (!me.signIn) {
    return (
      <Page title="Crew">
        <LetOthersIn />
      </Page>
    );
  }
  const space = spaceOf(who);
  const crew = space && !space.personal ? space : undefined;
  return (
    <Page
      title="Crew"
      result={
        <>
          {crew && <CrewPanel crewId={crew.id} role={crew.role} />}
          {crew && <MoveRigs role={crew.role} />}
          <YouPanel />
        </>
      }
    >
      <Panel title="Whose machines">
        <Choice
          label="Look at"
          layout="list"
          value={space?.id}
          options={me.spaces.map(({ id, name, role, personal }) => ({
            code: id,
            name: personal ? 'My own' : name,
            note: personal ? 'Nobody else sees them' : `${ROLE_WORDS[role].name}: you can ${ROLE_WORDS[role].may}`,
          }))}
          onChange={(id) => switchTo(id === me.person?.id ? null : id)}
        />
        {me.spaces.length === 1 ? <MakeCrew /> : <Unfold label="Make another crew">{() => <MakeCrew />}</Unfold>}
      </Panel>
    </Page>
  );
}
