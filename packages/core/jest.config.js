module.exports = {
  displayName: 'core',
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{src,checks}/**/*.test.ts'],
  transform: { '\\.[jt]s$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
  // d3 is published as modules alone.
  transformIgnorePatterns: ['/node_modules/(?!d3-)'],
};
