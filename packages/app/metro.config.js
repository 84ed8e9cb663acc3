const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const http = require('node:http');

const { getDefaultConfig } = require('expo/metro-config');

const { saidByBarrels } = require('./barrels');
const { taken } = require('./instead');

const config = getDefaultConfig(__dirname);

// What was bundled before went by what the barrels and the settings of the application said then.
const settings = readFileSync(require.resolve('./app.json'));
config.cacheVersion = createHash('sha256').update(saidByBarrels()).update(settings).digest('hex');

/**
 * A module of a library runs when it is first used, not when the file that holds it comes: the first screen then waits for
 * its own alone. Our own run at once, so that no tap waits for them. Exceptions: the beginning and the list of all other
 * screens, of which the parts are run one by one; the outbox, which puts rows together only where two devices changed them;
 * and the module that learns the address of the running script, by which workers are found: that is told only while the
 * script runs.
 */
const PART_BY_PART = ['./src/entry.ts', './src/data/outbox.ts', './src/screens/rest.ts'].map((file) =>
  require.resolve(file),
);
const AT_ONCE = require.resolve('expo/src/winter/ImportMetaRegistry.ts');
const runsAtOnce = (file) => file === AT_ONCE || (!file.includes('/node_modules/') && !PART_BY_PART.includes(file));
const blockList = new Proxy({}, { has: (_, file) => runsAtOnce(file) });
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: true, inlineRequires: { blockList } },
});

config.resolver.resolveRequest = (context, name, platform) =>
  context.resolveRequest(context, taken(name, context.originModulePath), platform);

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
