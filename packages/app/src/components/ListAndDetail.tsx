import type { ReactNode } from 'react';

import { useWide } from '../theme/useWide';
import { Page } from './Page';
import { Text } from './Text';

interface ListAndDetailProps {
  /** Title and button of the list. */
  readonly listTitle: string;
  readonly listAction?: ReactNode;
  readonly list: ReactNode;
  /** Title and button of what was chosen from it. */
  readonly title: string;
  readonly action?: ReactNode;
  readonly children: ReactNode;
}

/** What was chosen from a list: alone on a phone, beside its list on a wide screen. */
export function ListAndDetail({ listTitle, listAction, list, title, action, children }: ListAndDetailProps) {
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
      title={listTitle}
      action={listAction}
      result={
        <>
          <Text as="heading" level={2}>
            {title}
          </Text>
          {children}
        </>
      }
    >
      {list}
    </Page>
  );
}
