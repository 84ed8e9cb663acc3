const http = require('node:http');

const { getDefaultConfig } = require('expo/metro-config');

const { barrelsHash } = require('./barrels');

const config = getDefaultConfig(__dirname);
config.cacheVersion = barrelsHash();

// Zod brings its messages in some fifty languages, 60 kB of them. We word every problem ourselves, so one of them ships.
config.resolver.resolveRequest = (context, name, platform) =>
  context.resolveRequest(
    context,
    name === '../locales/index.js' && isZod(context) ? '../locales/en.js' : name,
    platform,
  );
const isZod = ({ originModulePath }) => originModulePath.includes('/node_modules/zod/');

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
