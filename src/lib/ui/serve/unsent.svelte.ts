import { browser } from '$app/environment';
import { invalidateAll } from '$app/navigation';
import { houseNow } from '../clock.svelte.ts';

/**
 * Touches at the pass. Each is kept with its time before it is sent, and they are sent one after another in that order: a line that
 * breaks costs nothing but time, a touch is answered at once, and what the house then refuses is told. Sent twice, a touch happens
 * once: it carries its key.
 */
export interface Touch {
  readonly key: string;
  /** By the house's clock, ms. */
  readonly at: number;
  /** Who was at the tablet. */
  readonly by: string;
  readonly dish: string;
  readonly name: string;
  readonly plates: number;
  readonly instead: boolean;
}
/** One that the house did not take, and what it said. */
export interface Refused extends Touch {
  readonly why: string;
}

const WAITING = 'ember-pass:waiting';
const REFUSED = 'ember-pass:refused';
/** The line is tried again after this. ms */
const AGAIN_MS = 1500;
/** One that waited longer says when it was. What goes at once is of the moment it comes. ms */
const AT_ONCE_MS = 10_000;
/** More than an evening's touches are not kept. */
const MOST = 400;

function kept<Item>(name: string): Item[] {
  if (!browser) return [];
  try {
    return JSON.parse(localStorage.getItem(name) ?? '[]') as Item[];
  } catch {
    return [];
  }
}
function keep(name: string, items: readonly unknown[]): void {
  try {
    localStorage.setItem(name, JSON.stringify(items));
  } catch {
    // A full or forbidden storage only costs what a reload would have brought back.
  }
}

let waiting = $state.raw(kept<Touch>(WAITING));
let refused = $state.raw(kept<Refused>(REFUSED));
let isGoing = false;

export const touchesWaiting = (): readonly Touch[] => waiting;
export const touchesRefused = (): readonly Refused[] => refused;
/** Plates of a dish that were touched and are not on the house's count yet. */
export const platesWaiting = (dish: string): number =>
  waiting.reduce((sum, touch) => sum + (touch.dish === dish ? touch.plates : 0), 0);

function setWaiting(next: readonly Touch[]): void {
  waiting = [...next];
  keep(WAITING, waiting);
}
function setRefused(next: readonly Refused[]): void {
  refused = next.slice(-MOST);
  keep(REFUSED, refused);
}

/** Keeps a touch and sends it as soon as those before it are through. */
export function touch(next: Omit<Touch, 'at'>): void {
  setWaiting([...waiting, { ...next, at: houseNow() }].slice(-MOST));
  void sendWaiting();
}
/** One that has not gone yet, after all not. */
export const takeBackWaiting = (key: string): void => setWaiting(waiting.filter((each) => each.key !== key));
export const putAwayRefused = (key: string): void => setRefused(refused.filter((each) => each.key !== key));

/** What the house says to a touch: taken, not taken and why, or nothing yet. */
async function sent({ key, at, by, dish, plates, instead }: Touch): Promise<'taken' | { why: string } | null> {
  const when = houseNow() - at > AT_ONCE_MS ? { at: new Date(at).toISOString() } : {};
  const answer = await fetch('/api/v1/operations/serve-dish', {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'idempotency-key': key, 'x-ember-person': by },
    body: JSON.stringify({ dish, plates, ...(instead ? { instead: true } : {}), ...when })
  }).catch(() => null);
  if (!answer || answer.status >= 500) return null;
  if (answer.ok) return 'taken';
  const said = (await answer.json().catch(() => ({}))) as { title?: string; detail?: string };
  // It had come before the line broke: under its key stands a plate already.
  return said.title === 'record.key-reused' ? 'taken' : { why: said.detail ?? '' };
}

/** Sends what waits, in order, until nothing does. */
export async function sendWaiting(): Promise<void> {
  if (isGoing || waiting.length === 0) return;
  isGoing = true;
  try {
    for (let next = waiting[0]; next; next = waiting[0]) {
      const answer = await sent(next);
      if (answer === null) {
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
        continue;
      }
      const { key } = next;
      if (answer !== 'taken') setRefused([...refused, { ...next, why: answer.why }]);
      // The house's count comes before the touch is off this one: a plate is never there twice.
      if (waiting.length === 1) await invalidateAll();
      setWaiting(waiting.filter((each) => each.key !== key));
    }
  } finally {
    isGoing = false;
  }
}
