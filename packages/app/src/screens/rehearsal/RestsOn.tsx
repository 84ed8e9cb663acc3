import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { DRIVE_SOURCES } from '../../words/rehearsal';

/** Whose figures the drives go by, and where they don't hold. */
export function RestsOn({ text }: { readonly text: string }) {
  return (
    <>
      <Text as="small" tone="muted">
        {text}
      </Text>
      <Unfold label="What it rests on">
        {DRIVE_SOURCES.map(([step, source]) => (
          <Text key={step} as="small">
            {`${step}: ${source}`}
          </Text>
        ))}
        <Text as="small" tone="muted">
          It says which is better of two ways on one ground, never how many degrees. Not for stony, frozen or floating
          ground, nor for two wheels. Nobody was ever pulled out by a picture: walk it first, and keep people clear of
          ropes and hooks.
        </Text>
      </Unfold>
    </>
  );
}
