import { gaugeOffset } from '@dunlinmoss/core';

import { unitsStore } from '../../settings/preferences';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { ListFrame } from '../../components/ListFrame';
import { CardList, LinkCard } from '../../components/LinkCard';
import { Text } from '../../components/Text';
import { pressure } from '../../words/format';
import { offsetText } from '../../words/gauges';
import { TOOL_WORDS } from '../../words/tools';
import { useRouter } from '../../hooks/useRouter';
import { BesideList } from './RigScreen';

/** A person's gauges and air tools. */
export function ToolsScreen() {
  const router = useRouter();
  const units = unitsStore.use();
  const gauges = useRows('gauges');
  const tools = useRows('tools');
  return (
    <BesideList title="Gauges and air tools">
      <Text as="heading" level={2}>
        Gauges
      </Text>
      <ListFrame
        list={gauges}
        empty="No gauge yet. With its range and class, each rig says which gauge can be trusted with it."
        more="More gauges"
      >
        {(rows) => (
          <CardList>
            {rows.map((gauge) => (
              <LinkCard key={gauge.id} href={{ pathname: '/rigs/gauge/[id]', params: { id: gauge.id } }}>
                <Text as="strong">{gauge.name}</Text>
                <Text as="small">
                  {`${pressure(gauge.fromKpa, units)} to ${pressure(gauge.fullScaleKpa, units)}, ${gauge.gradePercent === null ? 'class not known' : `class ${gauge.gradePercent}`}`}
                </Text>
                <Text as="small" tone="muted">
                  {offsetText(gaugeOffset(gauge.comparisons), units)}
                </Text>
              </LinkCard>
            ))}
          </CardList>
        )}
      </ListFrame>
      <Action
        icon="plus"
        label="Another gauge"
        onPress={() => router.navigate({ pathname: '/rigs/gauge/[id]', params: { id: 'new' } })}
      />
      <Text as="heading" level={2}>
        Air tools
      </Text>
      <ListFrame list={tools} empty="No tool yet: what lets air out, and what puts it back." more="More tools">
        {(rows) => (
          <CardList>
            {rows.map((tool) => (
              <LinkCard key={tool.id} href={{ pathname: '/rigs/tool/[id]', params: { id: tool.id } }}>
                <Text as="strong">{tool.name}</Text>
                <Text as="small">
                  {`${TOOL_WORDS[tool.kind].name}, ${tool.wheelsAtOnce === 1 ? 'one wheel at a time' : `${tool.wheelsAtOnce} wheels at once`}`}
                </Text>
                {tool.note !== '' && (
                  <Text as="small" tone="muted">
                    {tool.note}
                  </Text>
                )}
              </LinkCard>
            ))}
          </CardList>
        )}
      </ListFrame>
      <Action
        icon="plus"
        label="Another tool"
        onPress={() => router.navigate({ pathname: '/rigs/tool/[id]', params: { id: 'new' } })}
      />
    </BesideList>
  );
}
