module.exports = {
  displayName: 'core',
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{src,checks}/**/*.test.ts'],
  transform: { '\\.ts$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
};
