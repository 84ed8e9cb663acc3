const http = require('node:http');

const { getDefaultConfig } = require('expo/metro-config');

const { barrelsHash } = require('./barrels');

const config = getDefaultConfig(__dirname);
config.cacheVersion = barrelsHash();

/*
 * Zod brings its messages in some fifty languages, 60 kB of them. We word every problem ourselves, so one of them ships.
 * tslib, which the maker of PDFs uses, begins with a file that asks for a default export of its own plain one, and Metro
 * makes none: the plain file has all of it.
 */
config.resolver.resolveRequest = (context, name, platform) => {
  const isOfZod = context.originModulePath.includes('/node_modules/zod/');
  const instead = { tslib: 'tslib/tslib.es6.js', ...(isOfZod && { '../locales/index.js': '../locales/en.js' }) };
  return context.resolveRequest(context, instead[name] ?? name, platform);
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
    const passedOn = http.request(api + request.url, { method: request.method, headers }, (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    });
    passedOn.on('error', () => response.destroy());
    request.pipe(passedOn);
  };
}

module.exports = config;
