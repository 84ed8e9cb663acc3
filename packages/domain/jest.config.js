module.exports = {
  displayName: 'domain',
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
  // d3 is published as modules alone.
  transformIgnorePatterns: ['/node_modules/(?!d3-)'],
};
