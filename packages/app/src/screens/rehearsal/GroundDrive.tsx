import type { RigRow } from '@dunlinmoss/contract';
import { isOver, lessonOf, type Choice, type RehearsalInput, type Scene } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';

import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { useRehearsal, type Decided } from '../../hooks/useRehearsal';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { length } from '../../words/format';
import { choiceText, DRIVE_WORDS, MOMENT_TEXT, softnessText, treadText } from '../../words/rehearsal';
import { useRouter } from '../../hooks/useRouter';
import { useWide } from '../../theme/useWide';
import { AtStart, TwoRuns } from './DrivenPictures';
import { RestsOn } from './RestsOn';
import { Said } from './Said';

interface GroundDriveProps {
  readonly rig: RigRow;
  readonly input: RehearsalInput;
}

/** A practice drive on ground that gives way: look, decide, see what it was worth, and go on from there. */
export function GroundDrive({ rig, input }: GroundDriveProps) {
  const router = useRouter();
  const { place: asked } = useLocalSearchParams<{ place?: string }>();
  const units = unitsFor(unitsStore.use(), rig.family);
  const seed = Math.min(9_999, Math.max(1, Math.floor(Number(asked)) || 1));
  const { place, scene, choices, decided, busy, failed, choose, again } = useRehearsal(input, seed);
  const wide = useWide();
  const lesson = lessonOf(input.lesson);
  const { name, ahead } = DRIVE_WORDS[input.lesson];
  if (failed) {
    return (
      <Page title={name}>
        <Panel>
          <Text role="alert">It could not be worked out. Nothing of yours is lost.</Text>
          <Action label="Begin again" onPress={again} />
        </Panel>
      </Page>
    );
  }
  if (!place || !scene) {
    return (
      <Page title={name}>
        <Loading />
      </Page>
    );
  }
  const label = (choice: Choice, at: Scene): string =>
    choiceText({ choice, scene: at, paces: lesson.paces.length > 1, byTread: lesson.byTread === true, units });
  const last = decided.at(-1);
  const over = isOver(scene.moment);
  const another = (): void => router.setParams({ place: String(seed + 1) });
  const seen = last ? (
    <>
      <TwoRuns key={decided.length} decided={last} input={input} place={place} label={label} />
      <Said decided={last} label={label} units={units} />
    </>
  ) : (
    <AtStart scene={scene} input={input} place={place} />
  );
  return (
    <Page
      title={name}
      result={
        <>
          {wide && seen}
          {decided.length > 1 && <Before decided={decided.slice(0, -1)} label={label} />}
          <RestsOn text={softnessText(place.seen)} />
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · place ${seed}`}</Text>
      {(wide || !last) && <Text>{ahead(units)}</Text>}
      {!last && place.lie.depthM !== null && lesson.deepEnough && (
        <Text>{`The snow lies ${length(1000 * place.lie.depthM, units)} deep.`}</Text>
      )}
      {!last && lesson.byTread && <Text>{treadText(input.fromKpa[0]!, input.askedKpa[0]!)}</Text>}
      {!wide && seen}
      <Panel title={over ? 'The end of it' : 'What do you do?'}>
        <Text role="status">
          {lesson.byTread && scene.moment === 'edge'
            ? 'You stand at the edge of it.'
            : MOMENT_TEXT[scene.moment](scene, input.axles, units)}
        </Text>
        {choices.map((choice) => (
          <Action
            key={`${choice.code} ${choice.toKpa?.join() ?? ''} ${choice.pace}`}
            label={label(choice, scene)}
            disabled={busy}
            onPress={() => choose(choice)}
          />
        ))}
        {busy && <Text tone="muted">Driving it, and some places like it …</Text>}
      </Panel>
      {last && !busy && (
        <>
          <Action label="Again, the same place" onPress={again} />
          <Action label="Another place" onPress={another} />
        </>
      )}
      <Action
        label="Other drives"
        onPress={() => router.navigate({ pathname: '/ground/drives', params: { rig: rig.id } })}
      />
    </Page>
  );
}

/** What was decided before the last one. */
function Before({
  decided,
  label,
}: {
  readonly decided: readonly Decided[];
  readonly label: (choice: Choice, at: Scene) => string;
}) {
  return (
    <Panel title="So far">
      {decided.map(({ choice, before, verdict }, index) => (
        <Text key={index} as="small">
          {`${index + 1}. ${label(choice, before)}: ${verdict.costsMin === 0 ? 'as good as any' : `cost ${Math.round(verdict.costsMin)} min on average`}`}
        </Text>
      ))}
    </Panel>
  );
}
