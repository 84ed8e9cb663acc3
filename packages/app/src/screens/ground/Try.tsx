import { canRehearse, groundOf } from '@dunlinmoss/core';
import type { Href } from 'expo-router';

import { CardList, LinkCard } from '../../components/LinkCard';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { addressOf, type PlanQuery } from '../../hooks/usePlanQuery';

/** The screens that go on from this question. */
export function Try({ question }: { readonly question: PlanQuery }) {
  const params = addressOf(question);
  const onField = groundOf(question.asked.ground).traits.some((trait) => trait === 'field');
  const entries: readonly (readonly [label: string, href: Href])[] = [
    ['Another pressure: drag it', { pathname: '/ground/what-if', params }],
    ['One step lower: what it gains', { pathname: '/ground/curve', params }],
    ...(onField ? [['How deep it presses, and what helps', { pathname: '/ground/depth', params }] as const] : []),
    ['Two setups side by side', { pathname: '/ground/compare/[id]', params: { ...params, id: 'new' } }],
    ['A day’s route: which pressures, where to stop', { pathname: '/ground/day', params }],
    ...(canRehearse(question.family.kind)
      ? [
          [
            'Practice drives: get stuck here first',
            { pathname: '/ground/drives', params: { rig: question.rig.id } },
          ] as const,
        ]
      : []),
    [
      'Pressure card: every ground on one page',
      {
        pathname: '/rigs/[id]/pressures',
        params: { id: question.rig.id, ...(params.case !== undefined && { case: params.case }) },
      },
    ],
  ];
  return (
    <Unfold label="Try something">
      <CardList>
        {entries.map(([label, href]) => (
          <LinkCard key={label} href={href}>
            <Text as="strong">{label}</Text>
          </LinkCard>
        ))}
      </CardList>
    </Unfold>
  );
}
