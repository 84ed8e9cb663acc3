import { Text } from '../../components/Text';
import { peopleProblemText } from '../../words/people';
import type { useAsked } from './useAsked';

/** Why something that was asked for did not happen. */
export function Trouble({ problem, away }: Pick<ReturnType<typeof useAsked>, 'problem' | 'away'>) {
  if (!problem && !away) return null;
  return (
    <Text role="alert" tone="rust">
      {problem
        ? peopleProblemText(problem)
        : 'The server can’t be reached: this needs it. Try again when there is a signal.'}
    </Text>
  );
}
