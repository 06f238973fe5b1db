/** @jest-environment node */
import type { AddressInfo } from 'node:net';
import { heatWork, tidyLog } from '@/core/firing';
import { httpDriver } from '@/kiln-poller';
import { Controller } from './controller';
import { simulatorServer } from './server';
import { airShare, COLD, isDone, onward, oxygenOf, readsOf, type KilnBuild } from './thermal';

const TWO: KilnBuild = { heat: 'electric', litres: 190, kilowatts: 13, wear: 0, offset: 0, noise: 0 };
const CONE_6 = [
  { rate: 150, target: 1100, hold: 0 },
  { rate: 60, target: 1210, hold: 15 },
];

function fire(build: KilnBuild, segments = CONE_6) {
  const log = [];
  let state = COLD;
  while (!isDone(state, segments) && state.minutes < 3000) {
    state = onward(build, state, segments, 2);
    log.push({ minutes: state.minutes, celsius: readsOf(build, state) });
  }
  return { log, state };
}

test('a kiln follows its programme to its cone, and cools more slowly the cooler it is', () => {
  const { log, state } = fire(TWO);
  expect(heatWork(log).coneIndex!).toBeGreaterThan(5.8);
  expect(heatWork(log).coneIndex!).toBeLessThan(6.3);
  const after = (hours: number) => onward(TWO, state, null, hours * 60).inside;
  expect(after(2)).toBeGreaterThan(600);
  expect(after(2) - after(4)).toBeGreaterThan(after(6) - after(8));
  expect(after(40)).toBeLessThan(40);
});

test('worn elements fall behind a steep climb, and an offset is heat that was never there', () => {
  const steep = [{ rate: 300, target: 1222, hold: 0 }];
  expect(fire({ ...TWO, wear: 1 }, steep).state.minutes).toBeGreaterThan(fire(TWO, steep).state.minutes + 30);
  expect(fire({ ...TWO, offset: 12 }).state.inside).toBeLessThan(fire(TWO).state.inside - 8);
});

test('a starved flame reduces', () => {
  expect(airShare({ gas: 1, air: 1, damper: 0.5 })).toBeCloseTo(1);
  expect(oxygenOf({ gas: 1, air: 0.8, damper: 0.3 })).toBeGreaterThan(600);
  expect(oxygenOf({ gas: 0.6, air: 1, damper: 0.6 })).toBeLessThan(60);
});

test('the controller is driven over its interface, with its faults', async () => {
  let now = 0;
  const clock = jest.spyOn(Date, 'now').mockImplementation(() => now);
  const kiln = new Controller(TWO, () => 0.5, 0);
  const server = simulatorServer(new Map([['two', kiln]]), 60);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/two`;
  const driver = httpDriver(address);
  const fault = (body: unknown) => fetch(`${address}/faults`, { method: 'POST', body: JSON.stringify(body) });
  try {
    expect((await driver.start('run 1', CONE_6)).status).toBe('running');
    now += 60_000;
    const first = await driver.readingsSince('run 1', 0);
    expect(first.map(({ minutes }) => Math.round(minutes))).toEqual(
      Array.from({ length: 60 }, (_, i) => i + 1),
    );
    await driver.start('run 1', CONE_6);
    expect((await driver.state()).minutes).toBeCloseTo(60);
    await fault({ sensorBreak: true });
    now += 5_000;
    expect((await driver.readingsSince('run 1', 60)).every(({ celsius }) => celsius === null)).toBe(true);
    await fault({ sensorBreak: false, lostNetwork: true });
    await expect(driver.state()).rejects.toThrow('does not answer');
    await fault({ lostNetwork: false, powerCut: true });
    await expect(driver.state()).rejects.toThrow('refuses (503)');
    now += 30_000;
    await fault({ powerCut: false });
    now += 20_000;
    const all = await driver.readingsSince('run 1', 0);
    expect(tidyLog(all.map(({ minutes, celsius }) => ({ minutes, temperature: celsius }))).gaps).toHaveLength(
      1,
    );
    await expect(driver.readingsSince('another', 0)).rejects.toThrow('does not know this firing');
    expect((await fetch(`${address}/start`, { method: 'POST', body: '{"run":""}' })).status).toBe(400);
    await fault({ stuckRelay: true });
    const before = (await driver.stop()).celsius!;
    now += 60_000;
    expect((await driver.state()).celsius!).toBeGreaterThan(before);
  } finally {
    clock.mockRestore();
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  }
});
