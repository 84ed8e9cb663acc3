import type { OpenImport } from '@dunlinmoss/contract';

import { openImportText } from '../words/imports';
import { Text } from './Text';

/** What comes in just now and was not begun on this page: before a reload, or by another device. */
export const OpenImports = ({ items }: { readonly items: readonly OpenImport[] }) =>
  items.map((one) => (
    <Text key={one.id} role="status">
      {openImportText(one)}
    </Text>
  ));
