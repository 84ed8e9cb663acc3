import type { RigRow } from '@dunlinmoss/contract';
import { deflatorsToday, gaugeStepKpa, valveMisfits, type AiringPlan, type ToolUsed } from '@dunlinmoss/domain';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import type { Units } from '../../settings/preferences';
import { SET_DEFLATORS } from '../../words/air';
import { adapterText, deflatorText } from '../../words/tools';

interface KitNotesProps {
  readonly rig: RigRow;
  readonly used: ToolUsed;
  readonly toolName: string;
  readonly rows: AiringPlan['rows'];
  readonly way: 'out' | 'in';
  readonly units: Units;
}

/** What stands between one's own tool and today's plan, before going out: what it is set to, and whether it fits. */
export function KitNotes({ rig, used, toolName, rows, way, units }: KitNotesProps) {
  const adapter = adapterText(toolName, valveMisfits(used.tool, rig));
  const wheels = rows.flatMap(({ wheel: { position }, fromKpa, targetKpa }) =>
    targetKpa === undefined ? [] : [{ position, fromKpa, targetKpa }],
  );
  const deflators = way === 'out' ? deflatorsToday(used.tool, wheels, gaugeStepKpa(units)) : [];
  if (adapter === undefined && deflators.length === 0) return null;
  return (
    <Panel title="Before you go">
      {adapter !== undefined && <Text role="alert">{adapter}</Text>}
      {deflators.map((each) => (
        <Text key={each.position} role="alert" tone={each.code === 'below' ? 'rust' : 'ink'}>
          {deflatorText(each, units)}
        </Text>
      ))}
      {deflators.length > 0 && <HowToSet />}
    </Panel>
  );
}

/** How preset deflators are set to another pressure, step by step. */
export const HowToSet = () => (
  <Unfold label="Set preset deflators to another pressure">
    {SET_DEFLATORS.map((text, index) => (
      <Text key={text}>{`${index + 1}. ${text}`}</Text>
    ))}
  </Unfold>
);
