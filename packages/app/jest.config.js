module.exports = {
  displayName: 'app',
  preset: 'jest-expo/web',
  setupFiles: ['<rootDir>/jest.setup.js'],
  setupFilesAfterEnv: ['<rootDir>/jest.afterEnv.js'],
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  // d3 and the icons ship as modules only.
  transform: { '\\.mjs$': 'babel-jest' },
  transformIgnorePatterns: [
    '/node_modules/(?!(react-native|@react-native|expo|@expo|@dunlinmoss|d3-|internmap|lucide-react|uuid|swr|idb|fake-indexeddb))',
  ],
};
