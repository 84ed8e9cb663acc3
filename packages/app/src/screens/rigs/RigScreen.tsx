import { loadCaseOf, type RigRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';

import { Action } from '../../components/Action';
import { AskedField } from '../../forms/askedField';
import { ListAndDetail } from '../../components/ListAndDetail';
import { Page } from '../../components/Page';
import { RowFrame, RowMissing } from '../../components/RowFrame';
import { FAMILY_WORDS } from '../../words/families';
import { useRouter } from '../../hooks/useRouter';
import { isFamily } from './FamilyPicker';
import { LoadForm } from './LoadForm';
import { RigDetail } from './RigDetail';
import { QuickRig } from './QuickRig';
import { RigForm } from './RigForm';
import { SidewallForm } from './SidewallForm';
import { SizeFirst } from './SizeFirst';
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
        label="Enter its load"
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

/** One rig's axles and tires to change; `at` is the field that somebody was sent to. */
export function RigEditScreen() {
  const { id, at } = useLocalSearchParams<{ id: string; at?: string }>();
  return (
    <AskedField value={at ?? null}>
      <OneRig id={id}>{(rig) => <RigForm key={`${rig.id} ${rig.revision}`} family={rig.family} row={rig} />}</OneRig>
    </AskedField>
  );
}

/** What stands on one rig's sidewalls. */
export function SidewallScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OneRig id={id}>{(rig) => <SidewallForm key={`${rig.id} ${rig.revision}`} rig={rig} />}</OneRig>;
}

/** A new rig: which family, then its size and road pressure; all else of it on request. */
export function NewRigScreen() {
  const router = useRouter();
  const { family, all } = useLocalSearchParams<{ family?: string; all?: string }>();
  const chosen: FamilyCode | undefined = isFamily(family) ? family : undefined;
  const body = chosen ? (
    <>
      <Action
        label={`${FAMILY_WORDS[chosen].name}: another kind`}
        onPress={() => router.setParams({ family: '', all: undefined })}
      />
      {all ? (
        <RigForm key={chosen} family={chosen} row={undefined} />
      ) : (
        <QuickRig key={chosen} family={chosen} onAll={() => router.setParams({ all: 'yes' })} />
      )}
    </>
  ) : (
    <SizeFirst />
  );
  return <BesideList title="New rig">{body}</BesideList>;
}

/** One way a rig is loaded; `new` begins another. */
export function LoadScreen() {
  const { id, case: caseId } = useLocalSearchParams<{ id: string; case: string }>();
  const around = (body: ReactNode): ReactNode => <Page title="Load">{body}</Page>;
  return (
    <RowFrame name="rigs" id={id} around={(body, rig) => (rig ? body : around(body))}>
      {(rig) => {
        const loadCase = rig!.loadCases.find((each) => each.id === caseId);
        if (caseId !== 'new' && !loadCase) return around(<RowMissing name="rigs" />);
        return <LoadForm key={`${id} ${caseId} ${rig!.revision}`} rig={rig!} loadCase={loadCase} />;
      }}
    </RowFrame>
  );
}

interface OneRigProps {
  readonly id: string;
  readonly action?: (rig: RigRow) => ReactNode;
  readonly children: (rig: RigRow) => ReactNode;
}

/** A rig by its id, beside the list of all. */
const OneRig = ({ id, action, children }: OneRigProps) => (
  <RowFrame
    name="rigs"
    id={id}
    around={(body, rig) => (
      <BesideList title={rig?.name ?? 'Rig'} chosen={id} action={rig && action?.(rig)}>
        {body}
      </BesideList>
    )}
  >
    {(rig) => children(rig!)}
  </RowFrame>
);

interface BesideListProps {
  readonly title: string;
  readonly chosen?: string;
  readonly action?: ReactNode;
  readonly children: ReactNode;
}

/** On a wide screen the list of rigs stays in view on the left. */
export function BesideList({ title, chosen, action, children }: BesideListProps) {
  const router = useRouter();
  return (
    <ListAndDetail
      listTitle="Rigs"
      listAction={<Action kind="main" label="Start another rig" onPress={() => router.navigate('/rigs/new')} />}
      list={<RigsPane chosen={chosen} />}
      title={title}
      action={action}
    >
      {children}
    </ListAndDetail>
  );
}
