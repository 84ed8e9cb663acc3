import { outboxStore } from '../../data/outboxStore';
import { switchTo, useMe } from '../../data/people';
import { namesStore, whoStore } from '../../settings/who';
import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { useRouter } from '../../hooks/useRouter';

/** Stands in front of a crew's rows once this person is not in it any more. */
export function LeftCrewScreen() {
  const router = useRouter();
  // Asked at once: with the answer the crew's rows leave this device.
  useMe();
  const crew = namesStore.use()[whoStore.use().crewId ?? ''];
  const waiting = Object.keys(outboxStore.use()).length;
  return (
    <Page title="Not in this crew any more">
      <Panel>
        <Text>
          {`You are not in ${crew ?? 'that crew'} any more. Its rows are taken off this device. If that is a mistake, ask one of its leads for an invitation.`}
        </Text>
        {waiting > 0 && (
          <>
            <Text>
              {`${waiting === 1 ? 'One entry' : `${waiting} entries`} of yours had not arrived. Nothing is lost: save it as a file, or wait until you are in again.`}
            </Text>
            <Action label="See what waits" onPress={() => router.navigate('/waiting')} />
          </>
        )}
        <Action kind="main" label="Go to my own machines" onPress={() => switchTo(null)} />
      </Panel>
    </Page>
  );
}
