import { plannedAt, plannedCurve, type Segment } from '@/core/firing';
import {
  COLD,
  isDone,
  onward,
  oxygenOf,
  readsOf,
  type KilnBuild,
  type KilnState,
  type Settings,
} from './thermal';

export const FAULTS = ['sensorBreak', 'powerCut', 'stuckRelay', 'slowNetwork', 'lostNetwork'] as const;
export type FaultName = (typeof FAULTS)[number];

/** One line of the controller's own log: one each minute of the kiln. */
export interface SimulatedReading {
  readonly seq: number;
  readonly minutes: number;
  readonly celsius: number | null;
  readonly target: number | null;
  readonly oxygen: number | null;
}

interface Run {
  readonly id: string;
  readonly segments: readonly Segment[];
  readonly readings: SimulatedReading[];
  status: 'running' | 'complete' | 'stopped';
}

/** A kiln controller that stands in for a real one, on a clock that may run fast. */
export class Controller {
  private state: KilnState = COLD;
  private run: Run | null = null;
  private settings: Settings = { gas: 1, air: 1, damper: 0.5 };
  private speed = 1;
  private readonly faults = new Set<FaultName>();
  private heard: number;

  /**
   * @param random numbers from 0 to 1, for the noise of the thermocouple
   * @param now milliseconds
   */
  constructor(
    private build: KilnBuild,
    private readonly random: () => number,
    now: number,
  ) {
    this.heard = now;
  }

  /** Lets the kiln go on to `now`, noting one reading each minute of its own. */
  tick(now: number): void {
    const goal = this.state.minutes + ((now - this.heard) / 60_000) * this.speed;
    this.heard = now;
    while (goal - this.state.minutes > 1e-6) {
      const whole = Math.floor(this.state.minutes + 1 + 1e-6);
      this.go(Math.min(goal, whole) - this.state.minutes);
      if (Math.abs(this.state.minutes - whole) < 1e-6) this.note();
    }
  }

  private go(minutes: number): void {
    const running = this.run?.status === 'running';
    this.state = onward(this.build, this.state, running ? this.run!.segments : null, minutes, {
      stuck: this.faults.has('stuckRelay'),
      dead: this.faults.has('powerCut'),
      settings: this.settings,
    });
    if (running && !this.faults.has('powerCut') && isDone(this.state, this.run!.segments))
      this.run!.status = 'complete';
  }

  private note(): void {
    if (!this.run || this.faults.has('powerCut')) return;
    const bell = this.random() + this.random() + this.random() - 1.5;
    this.run.readings.push({
      seq: this.run.readings.length + 1,
      minutes: this.state.minutes,
      celsius: this.faults.has('sensorBreak')
        ? null
        : readsOf(this.build, this.state) + bell * 2 * this.build.noise,
      target: this.run.status === 'running' ? this.planned(this.run) : null,
      oxygen: this.build.heat === 'gas' ? oxygenOf(this.settings) : null,
    });
  }

  private planned({ segments }: Run): number {
    return plannedAt(plannedCurve(segments), this.state.programme);
  }

  /** Begins a programme; the same run twice is one run. The kiln keeps the heat it has. */
  start(run: string, segments: readonly Segment[], speed: number): void {
    if (this.run?.id === run) return;
    this.run = { id: run, segments, readings: [], status: 'running' };
    this.speed = speed;
    this.state = { ...this.state, minutes: 0, programme: 0, sum: 0 };
  }

  /** Ends the programme; the kiln cools. */
  stop(): void {
    if (this.run?.status === 'running') this.run.status = 'stopped';
  }

  set(settings: Partial<Settings>): void {
    this.settings = { ...this.settings, ...settings };
  }

  /** New elements, another thermocouple: changes what the kiln is made of. */
  rebuild(part: Partial<KilnBuild>): void {
    this.build = { ...this.build, ...part };
  }

  fault(name: FaultName, on: boolean): void {
    if (on) this.faults.add(name);
    else this.faults.delete(name);
  }

  has(name: FaultName): boolean {
    return this.faults.has(name);
  }

  /** Readings after number `since`, at most 2000; null for a run it does not know. */
  readingsSince(run: string, since: number): readonly SimulatedReading[] | null {
    return this.run?.id === run ? this.run.readings.slice(since, since + 2000) : null;
  }

  report() {
    return {
      heat: this.build.heat,
      run: this.run?.id ?? null,
      status: this.run?.status ?? ('idle' as const),
      speed: this.speed,
      minutes: this.state.minutes,
      celsius: this.faults.has('sensorBreak') ? null : readsOf(this.build, this.state),
      target: this.run?.status === 'running' ? this.planned(this.run) : null,
      power: this.state.power,
      oxygen: this.build.heat === 'gas' ? oxygenOf(this.settings) : null,
      settings: this.settings,
      faults: [...this.faults],
      readings: this.run?.readings.length ?? 0,
    };
  }
}
