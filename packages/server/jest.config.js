module.exports = {
  displayName: 'server',
  testEnvironment: 'node',
  testMatch: ['<rootDir>/tests/**/*.test.ts'],
  globalSetup: '<rootDir>/tests/startDatabase.mjs',
  setupFilesAfterEnv: ['<rootDir>/tests/patience.ts'],
  globalTeardown: '<rootDir>/tests/stopDatabase.mjs',
  transform: { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
  // uuid and d3 are published as modules alone.
  transformIgnorePatterns: ['/node_modules/(?!(uuid/|d3-))'],
};
