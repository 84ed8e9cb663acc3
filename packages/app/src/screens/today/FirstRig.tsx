import { Page } from '../../components/Page';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { Later, lazyScreen } from '../lazyScreen';

const SizeFirst = lazyScreen('SizeFirst');

/** The first screen where there is no rig yet: what this is, and the field that leads to the first number. */
export function FirstRig() {
  return (
    <Page title="Today" aside={<StuckButton />}>
      <Text>
        How much air to let out for sand, mud, snow, rock, gravel or field, how to check it, and when to put it back.
      </Text>
      <Later>
        <SizeFirst />
      </Later>
    </Page>
  );
}
