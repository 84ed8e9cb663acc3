import { loadCaseOf, type RigRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ReactNode } from 'react';

import { useRow } from '../../data/rows';
import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { useWide } from '../../theme/useWide';
import { FAMILY_WORDS } from '../../words/families';
import { FamilyPicker, isFamily } from './FamilyPicker';
import { LoadForm } from './LoadForm';
import { RigDetail } from './RigDetail';
import { RigForm } from './RigForm';
import { RigsPane } from './RigsScreen';

/** One rig as it stands. */
export function RigScreen() {
  const router = useRouter();
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <OneRig id={id} action={(rig) => nextOf(rig, router)}>
      {(rig) => <RigDetail rig={rig} />}
    </OneRig>
  );
}

/** The one next step of a rig: its load, or else the ground. */
function nextOf(rig: RigRow, router: ReturnType<typeof useRouter>): ReactNode {
  if (!loadCaseOf(rig)) {
    return (
      <Action
        kind="main"
        label="Tell its load"
        onPress={() => router.navigate({ pathname: '/rigs/[id]/load/[case]', params: { id: rig.id, case: 'new' } })}
      />
    );
  }
  return (
    <Action
      kind="main"
      label="Choose pressures by ground"
      onPress={() => router.navigate({ pathname: '/ground', params: { rig: rig.id } })}
    />
  );
}

/** One rig's axles and tires to change. */
export function RigEditScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <OneRig id={id}>{(rig) => <RigForm key={`${rig.id} ${rig.revision}`} family={rig.family} row={rig} />}</OneRig>
  );
}

/** A new rig: which family, then what that family needs. */
export function NewRigScreen() {
  const router = useRouter();
  const { family } = useLocalSearchParams<{ family?: string }>();
  const chosen: FamilyCode | undefined = isFamily(family) ? family : undefined;
  const body = chosen ? (
    <>
      <Action label={`${FAMILY_WORDS[chosen].name}: another family`} onPress={() => router.setParams({ family: '' })} />
      <RigForm key={chosen} family={chosen} row={undefined} />
    </>
  ) : (
    <FamilyPicker onPick={(code) => router.setParams({ family: code })} />
  );
  return <BesideList title="New rig">{body}</BesideList>;
}

/** One way a rig is loaded; `new` begins another. */
export function LoadScreen() {
  const router = useRouter();
  const { id, case: caseId } = useLocalSearchParams<{ id: string; case: string }>();
  const { row, missing } = useRow('rigs', id);
  const loadCase = row?.loadCases.find((each) => each.id === caseId);
  if (missing || (row && caseId !== 'new' && !loadCase)) {
    return (
      <Page title="Load">
        <Empty
          text="This load case, or its rig, is not here."
          action={{ label: 'All rigs', onPress: () => router.replace('/rigs') }}
        />
      </Page>
    );
  }
  if (!row) {
    return (
      <Page title="Load">
        <Loading />
      </Page>
    );
  }
  return <LoadForm key={`${row.id} ${caseId} ${row.revision}`} rig={row} loadCase={loadCase} />;
}

interface OneRigProps {
  readonly id: string;
  readonly action?: (rig: RigRow) => ReactNode;
  readonly children: (rig: RigRow) => ReactNode;
}

/** A rig by its id, with what to say while it is fetched and where it is not. */
function OneRig({ id, action, children }: OneRigProps) {
  const router = useRouter();
  const { row, missing } = useRow('rigs', id);
  const body = missing ? (
    <Empty
      text="This rig is not here, or was archived."
      action={{ label: 'All rigs', onPress: () => router.replace('/rigs') }}
    />
  ) : row ? (
    children(row)
  ) : (
    <Loading />
  );
  return (
    <BesideList title={row?.name ?? 'Rig'} chosen={id} action={row && action?.(row)}>
      {body}
    </BesideList>
  );
}

interface BesideListProps {
  readonly title: string;
  readonly chosen?: string;
  readonly action?: ReactNode;
  readonly children: ReactNode;
}

/** On a wide screen the list of rigs stays in view on the left. */
export function BesideList({ title, chosen, action, children }: BesideListProps) {
  const router = useRouter();
  const wide = useWide();
  if (!wide) {
    return (
      <Page title={title} action={action}>
        {children}
      </Page>
    );
  }
  return (
    <Page
      title="Rigs"
      action={<Action kind="main" label="Describe another rig" onPress={() => router.navigate('/rigs/new')} />}
      result={
        <>
          <Text as="heading" level={2}>
            {title}
          </Text>
          {children}
        </>
      }
    >
      <RigsPane chosen={chosen} />
    </Page>
  );
}
