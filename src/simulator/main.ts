import { Controller } from './controller';
import { simulatorServer } from './server';

/** The two kilns of the demo; the electric one reads a little hot. */
const KILNS = {
  two: { heat: 'electric', litres: 190, kilowatts: 13, wear: 0.15, offset: 6, noise: 0.6 },
  stoker: { heat: 'gas', litres: 500, kilowatts: 40, wear: 0, offset: 2, noise: 1.2 },
} as const;

const port = Number(process.env.SIMULATOR_PORT ?? 3211);
const speed = Number(process.env.SIMULATOR_SPEED ?? 60);
const kilns = new Map(
  Object.entries(KILNS).map(([name, build]) => [name, new Controller(build, Math.random, Date.now())]),
);
setInterval(() => kilns.forEach((kiln) => kiln.tick(Date.now())), 500);
simulatorServer(kilns, speed).listen(port, '127.0.0.1', () =>
  console.log(`Stand-in kilns on 127.0.0.1:${port}`),
);
