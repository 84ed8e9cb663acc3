const http = require('node:http');

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

// While it is worked on, what goes to the API is handed on to the server beside the bundler.
const api = process.env.DUNLINMOSS_API;
if (api) {
  config.server.enhanceMiddleware = (middleware) => (request, response, next) => {
    if (!request.url.startsWith('/api/')) return middleware(request, response, next);
    const headers = { ...request.headers, host: new URL(api).host };
    // The page is the bundler's, and the server answers its own pages alone.
    delete headers.origin;
    delete headers['sec-fetch-site'];
    const asked = http.request(api + request.url, { method: request.method, headers }, (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    });
    asked.on('error', () => response.destroy());
    request.pipe(asked);
  };
}

module.exports = config;
