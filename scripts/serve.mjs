/**
 * Serves the built app on plain HTTP. Listens on loopback unless HOST says otherwise, answers only to the names it is
 * known by, packs what it sends, and on a signal closes streams and requests within SHUTDOWN_TIMEOUT seconds.
 */
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4173);
const patience = Number(process.env.SHUTDOWN_TIMEOUT ?? 5) * 1000;

// Without a fixed ORIGIN the protocol comes from this header, which only this file sets: a page reached by any of the
// house's names over plain HTTP then agrees with itself.
if (!process.env.ORIGIN) process.env.PROTOCOL_HEADER = 'x-forwarded-proto';
// The largest anything may be, a logger's file; everything else is held to less by the app.
process.env.BODY_SIZE_LIMIT ??= '201000000';
process.env.EMBER_TIDE_WORKERS ??= fileURLToPath(new URL('../build/workers', import.meta.url));
// Only now: the first steps run on a machine on which nothing is installed yet.
const { default: compression } = await import('compression');
const { handler } = await import('../build/handler.js');

const loopback = ['localhost', '127.0.0.1', '[::1]'];
const names = new Set([...loopback, host, ...(process.env.EMBER_TIDE_HOSTS ?? '').split(',').filter(Boolean)]);
const origin = process.env.ORIGIN ? new URL(process.env.ORIGIN).hostname : null;
if (origin) names.add(origin);
const anyName = host === '0.0.0.0' || host === '::';
/** A name that is a plain address cannot be rebound by somebody else's name server. */
const isAddress = (name) => /^(\d+\.){3}\d+$/.test(name) || name.startsWith('[');

// A stream of changes would be held back until it ends; everything else that packs well is packed.
const pack = compression({
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') && compression.filter(request, response)
});

// A head that dribbles in, and a body that stops coming, hold a line each: they are cut off early. A logger's file of 200 MB may
// take its minutes.
const headPatience = Number(process.env.EMBER_TIDE_HEAD_MS ?? 10_000);
const bodyPatience = Number(process.env.EMBER_TIDE_BODY_MS ?? 60_000);
const LOG_PATIENCE_MS = 600_000;
const limits = {
  headersTimeout: headPatience,
  requestTimeout: LOG_PATIENCE_MS,
  keepAliveTimeout: 15_000,
  connectionsCheckingInterval: Math.min(2000, headPatience)
};

/** Ends a request whose body has not come in time. */
function cutOff(request, response) {
  if (request.complete) return;
  if (!response.headersSent) {
    response.writeHead(408, { 'content-type': 'text/plain', connection: 'close' });
    response.end('The request took too long to come.\n');
  }
  request.socket.destroySoon();
}

const server = createServer(limits, (request, response) => {
  const isLog = request.url.startsWith('/api/v1/imports');
  const late = setTimeout(cutOff, isLog ? LOG_PATIENCE_MS : bodyPatience, request, response);
  late.unref();
  for (const end of ['end', 'close']) request.once(end, () => clearTimeout(late));
  const name = (request.headers.host ?? '').replace(/:\d+$/, '');
  if (!names.has(name) && !(anyName && isAddress(name))) {
    response.writeHead(421, { 'content-type': 'text/plain' });
    response.end('This house does not answer to that name. Set EMBER_TIDE_HOSTS to add one.\n');
    return;
  }
  request.headers['x-forwarded-proto'] = 'http';
  // Also on what is served from the disk, which the app never sees.
  response.setHeader('x-content-type-options', 'nosniff');
  pack(request, response, () => handler(request, response));
});

server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken. Set PORT to another.` : error.message);
  process.exit(1);
});
server.listen(port, host, () => {
  const { port: bound } = server.address();
  console.log(`Ember Tide is at http://${host === '0.0.0.0' ? 'localhost' : host}:${bound}/`);
});

let closing = false;
function shutDown() {
  if (closing) return;
  closing = true;
  server.close(() => process.exit(0));
  process.emit('sveltekit:shutdown', 'SIGTERM');
  server.closeIdleConnections();
  setTimeout(() => {
    server.closeAllConnections();
    process.exit(0);
  }, patience).unref();
}
process.on('SIGTERM', shutDown);
process.on('SIGINT', shutDown);
