import type { CureBand, CureResult, CureSettings } from '../../core/bench/cure/plan.ts';
import { errorSentence } from '../../words/errors.ts';
import type { CureWorker } from '../../workers/cure.ts';

/** A hand rests this long before the two hundred draws begin. ms */
const REST_MS = 180;

/**
 * One plan as it is simulated while it is being set. While the thread works on a question, only the newest of those that come
 * is kept: a dragged control asks faster than anybody could answer.
 */
export class CureSimulation {
  result = $state.raw<CureResult | null>(null);
  band = $state.raw<CureBand | null>(null);
  trouble = $state('');
  /** The settings the shown result answers. */
  shown = $state.raw<CureSettings | null>(null);
  banding = $state(false);
  #worker: CureWorker;
  #waiting: CureSettings | null = null;
  #busy = false;
  #turn = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(worker: CureWorker) {
    this.#worker = worker;
  }

  ask(settings: CureSettings | string): void {
    this.#turn++;
    clearTimeout(this.#timer);
    if (typeof settings === 'string') {
      this.#waiting = null;
      this.trouble = settings;
      return;
    }
    this.#waiting = settings;
    void this.#work();
  }

  async #work(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    while (this.#waiting) {
      const asked = this.#waiting;
      this.#waiting = null;
      this.banding = false;
      const answer = await this.#worker.cure(asked);
      if (this.#waiting) continue;
      if (answer.ok) {
        this.trouble = '';
        this.result = answer.value;
        this.shown = asked;
        this.band = null;
        this.#later(asked);
      } else this.trouble = errorSentence(answer.code, answer.details);
    }
    this.#busy = false;
  }

  /** The band is for a hand that rests. */
  #later(asked: CureSettings): void {
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
    this.#worker.end();
  }
}
