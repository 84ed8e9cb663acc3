const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Zod brings its messages in some fifty languages. We word every problem ourselves, so one of them ships. */
config.resolver.resolveRequest = (context, name, platform) => {
  const isLocales = name === '../locales/index.js' && context.originModulePath.includes('/node_modules/zod/');
  return context.resolveRequest(context, isLocales ? '../locales/en.js' : name, platform);
};

module.exports = config;
