import type { OutingRow } from '@dunlinmoss/contract';

import { CardList, LinkCard } from '../../components/LinkCard';
import { Text } from '../../components/Text';
import { day } from '../../words/format';
import { groundName } from '../../words/grounds';

/** Outings for a day to come. */
export function ToCome({ outings }: { readonly outings: readonly OutingRow[] }) {
  if (outings.length === 0) return null;
  return (
    <>
      <Text as="heading" level={2}>
        To come
      </Text>
      <CardList>
        {outings.map(({ id, startedAt, title, rigName, groundCode }) => (
          <LinkCard key={id} href={{ pathname: '/book/[id]', params: { id } }}>
            <Text as="small" tone="muted">
              {day(startedAt)}
            </Text>
            <Text as="strong">{title || groundName(groundCode)}</Text>
            <Text as="small">{`${rigName} · ${groundName(groundCode)}`}</Text>
          </LinkCard>
        ))}
      </CardList>
    </>
  );
}
