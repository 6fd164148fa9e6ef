import { onMount, untrack } from 'svelte';
import { Simulation, type BenchWorker } from '../simulation.svelte.ts';

/** As much of a draft as two of them that are compared need. */
interface Comparable {
  copyFrom(other: this): void;
  readonly named: (field: string) => string | undefined;
}

/** A plan and, where it is asked for, another one laid beside it: each is simulated in a thread of its own. Made while a page is made. */
export class PlanPair<Draft extends Comparable, Settings extends object, Result, Band> {
  readonly first: Draft;
  readonly second: Draft;
  one = $state.raw<Simulation<Settings, Result, Band> | null>(null);
  two = $state.raw<Simulation<Settings, Result, Band> | null>(null);
  comparing = $state(false);
  readonly #read: (draft: Draft) => Settings | string;
  /** What the first plan says, or why it cannot be read. */
  settings = $derived.by(() => this.#read(this.first));
  #other = $derived.by(() => (this.comparing ? this.#read(this.second) : null));
  // Only what is asked counts, not that the page's data came anew.
  #askedFirst = $derived.by(() => keyOf(this.settings));
  #askedSecond = $derived.by(() => keyOf(this.#other));

  /**
   * @param open a thread that simulates
   * @param draft a plan that begins as plans do
   * @param read what a draft says, or why it cannot be read
   */
  constructor(
    open: () => BenchWorker<Settings, Result, Band>,
    draft: () => Draft,
    read: (draft: Draft) => Settings | string
  ) {
    this.first = draft();
    this.second = draft();
    this.#read = read;
    onMount(() => {
      const workers = [open(), open()] as const;
      this.one = new Simulation(workers[0], this.first.named);
      this.two = new Simulation(workers[1], this.second.named);
      return () => workers.forEach((worker) => worker.end());
    });
    $effect(() => {
      void this.#askedFirst;
      this.one?.ask(untrack(() => this.settings));
    });
    $effect(() => {
      if (this.#askedSecond === null) return;
      const asked = untrack(() => this.#other);
      if (asked !== null) this.two?.ask(asked);
    });
  }

  /** Lays another beside it, which begins as the first. */
  compare(): void {
    this.second.copyFrom(this.first);
    this.comparing = true;
  }
}

const keyOf = (asked: object | string | null) =>
  asked === null || typeof asked === 'string' ? asked : JSON.stringify(asked);
