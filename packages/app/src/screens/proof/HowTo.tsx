import type { RoutineCode } from '@dunlinmoss/core';
import { routineOf } from '@dunlinmoss/core';

import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { ROUTINE_WORDS } from '../../words/proof/registry';

/** What a test needs, where to stand, what to do and how to read it; what can hurt stays in view. */
export function HowTo({ code, open = false }: { readonly code: RoutineCode; readonly open?: boolean }) {
  const { need, where, steps, read, mind, tells } = ROUTINE_WORDS[code];
  const { minutes } = routineOf(code);
  return (
    <>
      <Text>{tells}</Text>
      {mind !== undefined && (
        <Text as="small" tone="rust">
          {mind}
        </Text>
      )}
      <Unfold label={`How to do it, about ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`} startsOpen={open}>
        <Text>{`You need: ${need}`}</Text>
        <Text>{`Where: ${where}`}</Text>
        {steps.map((step, index) => (
          <Text key={step}>{`${index + 1}. ${step}`}</Text>
        ))}
        <Text>{`How to read it: ${read}`}</Text>
      </Unfold>
    </>
  );
}
