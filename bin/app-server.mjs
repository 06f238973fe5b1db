// The application server: Next.js behind plain HTTP, or HTTPS when a certificate and key are given.
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { constants } from 'node:zlib';
import compression from 'compression';
import next from 'next';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT);
const { JITEN_CERT: cert, JITEN_KEY: key } = process.env;

const app = next({ dev: false, hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

/** Files of the build are packed well, for they are kept; answers are packed fast, for somebody waits. */
const packed = compression();
const packedFast = compression({
  level: 1,
  // A wall of many glazes goes out in one or two pieces: each costs a turn of the server.
  chunkSize: 256 * 1024,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } },
});

/** Tells the application who is calling; what a caller says about that itself is dropped. */
function answer(request, response) {
  request.headers['x-jiten-address'] = request.socket.remoteAddress ?? 'unknown';
  const pack = request.url.startsWith('/_next/static/') ? packed : packedFast;
  pack(request, response, () => void handle(request, response));
}

const server =
  cert && key
    ? createSecureServer({ cert: readFileSync(cert), key: readFileSync(key) }, answer)
    : createServer(answer);
server.on('error', (error) => {
  console.error(
    error.code === 'EACCES' ? `You may not listen on port ${port}; choose one above 1024.` : error.message,
  );
  process.exit(1);
});
server.listen(port, host);
process.on('SIGTERM', () => server.close(() => process.exit(0)));
