import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { z } from 'zod';
import { type Controller, FAULTS } from './controller';

const segment = z.object({
  rate: z.number().positive().max(999),
  target: z.number().min(20).max(1400),
  hold: z.number().min(0).max(2880),
});
const share = z.number().min(0).max(1);
const BODIES = {
  start: z.object({
    run: z.string().min(1).max(40),
    segments: z.array(segment).min(1).max(40),
    speed: z.number().min(1).max(600).optional(),
  }),
  stop: z.object({}),
  settings: z.object({ gas: share, air: share, damper: share }).partial(),
  faults: z.object(Object.fromEntries(FAULTS.map((name) => [name, z.boolean()]))).partial(),
  parts: z.object({ wear: share, offset: z.number().min(-60).max(60) }).partial(),
};

const SLOW = 4000;

/**
 * The stand-in's HTTP interface, one path a kiln; docs/formats.md describes it. A lost network drops the
 * connection and a power cut answers 503, but faults can always be set, so that they can be lifted again.
 *
 * @param speed kiln minutes in a minute when a start does not say
 */
export function simulatorServer(kilns: ReadonlyMap<string, Controller>, speed: number): Server {
  return createServer((request, response) => {
    void answer(kilns, speed, request, response).catch((error: Error) =>
      send(response, 400, { error: error.message }),
    );
  });
}

async function answer(
  kilns: ReadonlyMap<string, Controller>,
  speed: number,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const url = new URL(request.url ?? '/', 'http://kiln');
  const [, name = '', what = ''] = url.pathname.split('/');
  const kiln = kilns.get(name);
  if (!kiln) return send(response, 404, { error: `No kiln ${name}.` });
  kiln.tick(Date.now());
  if (what !== 'faults') {
    if (kiln.has('lostNetwork')) return void request.socket.destroy();
    if (kiln.has('powerCut')) return send(response, 503, { error: 'The controller has no power.' });
    if (kiln.has('slowNetwork')) await new Promise((done) => setTimeout(done, SLOW));
  }
  if (request.method === 'GET' && what === 'state') return send(response, 200, kiln.report());
  if (request.method === 'GET' && what === 'readings') {
    const readings = kiln.readingsSince(
      url.searchParams.get('run') ?? '',
      Number(url.searchParams.get('since') ?? 0),
    );
    return readings ? send(response, 200, { readings }) : send(response, 404, { error: 'No such run.' });
  }
  if (request.method !== 'POST' || !(what in BODIES)) return send(response, 404, { error: 'Nothing here.' });
  act(kiln, what as keyof typeof BODIES, await bodyOf(request), speed);
  send(response, 200, kiln.report());
}

function act(kiln: Controller, what: keyof typeof BODIES, body: unknown, speed: number): void {
  switch (what) {
    case 'start': {
      const start = BODIES.start.parse(body);
      return kiln.start(start.run, start.segments, start.speed ?? speed);
    }
    case 'stop':
      return kiln.stop();
    case 'settings':
      return kiln.set(BODIES.settings.parse(body));
    case 'parts':
      return kiln.rebuild(BODIES.parts.parse(body));
    case 'faults':
      for (const [name, on] of Object.entries(BODIES.faults.parse(body)))
        if (on !== undefined) kiln.fault(name as (typeof FAULTS)[number], on);
  }
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const part of request) text += String(part);
  return text ? JSON.parse(text) : {};
}

function send(response: ServerResponse, status: number, body: unknown): void {
  if (response.destroyed) return;
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
}
