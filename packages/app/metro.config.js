const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/**
 * Zod brings its messages in some fifty languages: we word every problem ourselves, so one of them ships.
 * tslib's own entry for modules imports a default that the bundler does not make: its plain module file has all of it.
 */
const INSTEAD = {
  '../locales/index.js': { from: '/node_modules/zod/', name: '../locales/en.js' },
  tslib: { from: '/node_modules/', name: 'tslib/tslib.es6.js' },
};

config.resolver.resolveRequest = (context, name, platform) => {
  const instead = INSTEAD[name];
  const isOurs = instead !== undefined && context.originModulePath.includes(instead.from);
  return context.resolveRequest(context, isOurs ? instead.name : name, platform);
};

module.exports = config;
