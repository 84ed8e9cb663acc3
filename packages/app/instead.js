const NOT_ON_PAGES = require.resolve('./src/theme/notOnPages.ts');
const ROUTER = 'expo-router/build';

/**
 * What the bundler takes in the place of what a library asks for: `by` is the file that asks, or all of them where it is not
 * said. A test holds that each still asks, since a file that moved would end it silently.
 */
const INSTEAD = [
  // Zod brings its messages in some fifty languages: we word every problem ourselves, so one of them ships.
  ...['v4/classic/external.js', 'v4/core/index.js'].map((file) => ({
    asked: '../locales/index.js',
    by: `zod/${file}`,
    taken: '../locales/en.js',
  })),
  // Its own entry for modules imports a default that the bundler does not make: its plain module file has all of it.
  { asked: 'tslib', taken: 'tslib/tslib.es6.js' },
  // The router sets flags of native screens, which a page has none of: its flags alone ship, not all that moves on a screen.
  {
    asked: 'react-native-screens',
    by: `${ROUTER}/screensFeatureFlags.js`,
    taken: 'react-native-screens/lib/module/flags',
  },
  // The router also measures the notch while the first screen is drawn, and then draws it once more; and it brings tabs, stacks,
  // headers and screens of its own that none of our pages shows: a fifth of the first file.
  ...[
    ['ExpoRoot.js', 'react-native-safe-area-context'],
    ['ExpoRoot.js', './views/RootUnmatched'],
    ['ExpoRoot.js', './views/Sitemap'],
    ['getRoutes.js', './views/Sitemap'],
    ['getRoutes.js', './views/Unmatched'],
    ['getRoutesRedirects.js', './link/Link'],
    ['layouts/StackClient.js', '../fork/native-stack/createNativeStackNavigator'],
    ['layouts/StackClient.js', './stack-utils'],
    ['layouts/withLayoutContext.js', '../native-tabs/NativeTabTrigger'],
    ['useScreens.js', './views/EmptyRoute'],
    ['useScreens.js', './views/SuspenseFallback'],
    ['views/Navigator.js', 'react-native-safe-area-context'],
  ].map(([file, asked]) => ({ asked, by: `${ROUTER}/${file}`, taken: NOT_ON_PAGES })),
  // What moves could be a list: none of ours is.
  ...['Flat', 'Section'].map((kind) => ({
    asked: `./components/Animated${kind}List`,
    by: 'react-native-web/dist/vendor/react-native/Animated/Animated.js',
    taken: NOT_ON_PAGES,
  })),
];

/** What is taken where a file asks for something by this name. */
const taken = (asked, by) =>
  INSTEAD.find(
    (each) => each.asked === asked && by.includes('/node_modules/') && (!each.by || by.endsWith(`/${each.by}`)),
  )?.taken ?? asked;

module.exports = { INSTEAD, taken };
