module.exports = {
  displayName: 'core',
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{src,checks}/**/*.test.ts'],
  transform: {
    '\\.m?[jt]s$': [
      'babel-jest',
      { presets: ['@babel/preset-typescript'], plugins: ['@babel/plugin-transform-modules-commonjs'] },
    ],
  },
  // d3 and ml are published as modules alone.
  transformIgnorePatterns: ['/node_modules/(?!d3-|internmap|ml-|is-any-array|cheminfo-types)'],
};
