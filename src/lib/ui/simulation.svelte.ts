import type { Answered } from '../workers/answered.ts';
import { errorSentence } from '../words/errors.ts';

/** A bench's thread: one answer at once, and a band that may be broken off. */
export interface BenchWorker<Settings, Result, Band> {
  solve(settings: Settings): Promise<Answered<Result>>;
  band(settings: Settings): Promise<Answered<Band>>;
  stop(): void;
  end(): void;
}

/** A hand rests this long before the two hundred draws begin. ms */
const REST_MS = 180;

/**
 * One plan as it is simulated while it is being set. While the thread works on a question, only the newest of those that come
 * is kept: a dragged control asks faster than anybody could answer.
 */
export class Simulation<Settings extends object, Result, Band> {
  result = $state.raw<Result | null>(null);
  band = $state.raw<Band | null>(null);
  trouble = $state('');
  /** The settings the shown result answers. */
  shown = $state.raw<Settings | null>(null);
  banding = $state(false);
  /** What is shown answers an older question: the newest is being worked out. */
  working = $state(false);
  #worker: BenchWorker<Settings, Result, Band>;
  #named: ((field: string) => string | undefined) | undefined;
  #waiting: Settings | null = null;
  #busy = false;
  #turn = 0;
  #asks = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** @param named what a field is called where it is set */
  constructor(worker: BenchWorker<Settings, Result, Band>, named?: (field: string) => string | undefined) {
    this.#worker = worker;
    this.#named = named;
  }

  ask(settings: Settings | string): void {
    this.#turn++;
    this.#asks++;
    clearTimeout(this.#timer);
    if (typeof settings === 'string') {
      this.working = false;
      this.#waiting = null;
      this.trouble = settings;
      return;
    }
    this.#waiting = settings;
    this.working = true;
    void this.#work();
  }

  async #work(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    while (this.#waiting) {
      const asked = this.#waiting;
      this.#waiting = null;
      this.banding = false;
      const mine = this.#asks;
      const answer = await this.#worker.solve(asked);
      // What was asked meanwhile counts, and be it that nothing can be asked just now.
      if (mine !== this.#asks) continue;
      this.working = false;
      if (answer.ok) {
        this.trouble = '';
        this.result = answer.value;
        this.shown = asked;
        this.band = null;
        this.#later(asked);
      } else this.trouble = errorSentence(answer.code, answer.details, this.#named);
    }
    this.#busy = false;
  }

  /** The band is for a hand that rests. */
  #later(asked: Settings): void {
    const mine = this.#turn;
    this.#timer = setTimeout(async () => {
      this.banding = true;
      const wide = await this.#worker.band(asked);
      if (mine !== this.#turn) return;
      this.banding = false;
      if (wide.ok) this.band = wide.value;
    }, REST_MS);
  }

  /** Ends the two hundred draws; what is shown stays. */
  stop(): void {
    this.#turn++;
    clearTimeout(this.#timer);
    this.banding = false;
    this.#worker.stop();
  }
}
