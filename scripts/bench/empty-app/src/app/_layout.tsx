import { Slot } from 'expo-router';
import { PaperProvider } from 'react-native-paper';

/** The yardstick for the size of the initial JavaScript: Expo Router and Paper, and nothing of ours. */
export default function Layout() {
  return (
    <PaperProvider>
      <Slot />
    </PaperProvider>
  );
}
