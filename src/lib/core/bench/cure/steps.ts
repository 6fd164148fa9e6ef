import { HOUR_SECONDS } from '../../measure/spans.ts';
import type { Stage } from './programme.ts';
import type { School } from '../../activity/cure/lists.ts';
import type { CURE_STEP_CODES } from '../../activity/cure/lists.ts';

export interface CureStep {
  /** Stays the same while a programme is made longer or shorter: a step that was done stays done. */
  readonly id: string;
  readonly code: (typeof CURE_STEP_CODES)[number];
  /** s since the start */
  readonly seconds: number;
}

export interface StepChoices {
  readonly method: School;
  /** One camp turns and bastes, the other leaves the parcel closed. */
  readonly turned: boolean;
  readonly drains: boolean;
}

/** A parcel is turned this often by those who turn it; the house's habit (check). h */
const TURN_HOURS = 12;
const BASTE_HOURS = 12;
const POUR_HOURS = 8;

function every(code: CureStep['code'], hours: number, from: number, to: number, offset = 0): CureStep[] {
  const steps: CureStep[] = [];
  // Nothing is turned in the last hour before it is lifted.
  for (let at = from + (hours + offset) * HOUR_SECONDS; at < to - HOUR_SECONDS; at += hours * HOUR_SECONDS) {
    steps.push({ id: `${code}-${steps.length + 1}`, code, seconds: at });
  }
  return steps;
}

/**
 * What hands do, and when: the programme as a list with clocks.
 *
 * @returns ascending
 * @example
 * stepsOf([{ id: 'cure', seconds: 7200, contact: { kind: 'laid', salt: 0.06, sugar: 0, drains: false } }],
 *   { method: 'cover', turned: false, drains: false }).map(({ code }) => code) // => ['lay-on', 'rinse', 'dry']
 */
export function stepsOf(stages: readonly Stage[], { method, turned, drains }: StepChoices): CureStep[] {
  const steps: CureStep[] = [];
  const add = (id: string, code: CureStep['code'], seconds: number) => steps.push({ id, code, seconds });
  let from = 0;
  let soaks = 0;
  stages.forEach((stage, index) => {
    const to = from + stage.seconds;
    const next = stages[index + 1];
    const isPaused = next?.id === 'paused';
    if (stage.contact.kind === 'again') add(`put-back-${index}`, 'put-back', from);
    const begins = stage.contact.kind !== 'again';
    switch (stage.id) {
      case 'cure':
        if (begins) add('lay-on', 'lay-on', from);
        if (turned) {
          const known = new Set(steps.map(({ id }) => id));
          const mine = every('turn', TURN_HOURS, from, to);
          const baste = method === 'cover' && !drains ? every('baste', BASTE_HOURS, from, to, 0.1) : [];
          const fresh = [...mine, ...baste];
          steps.push(...fresh.map((step) => (known.has(step.id) ? { ...step, id: `${step.id}-${index}` } : step)));
        }
        if (drains) {
          const known = new Set(steps.map(({ id }) => id));
          const pours = every('pour-off', POUR_HOURS, from, to);
          steps.push(...pours.map((step) => (known.has(step.id) ? { ...step, id: `${step.id}-${index}` } : step)));
        }
        if (isPaused) break;
        add('off', method === 'weighed' ? 'wipe' : 'rinse', to);
        add('dry', 'dry', to);
        break;
      case 'film':
        if (begins) add('film-on', 'lay-on', from);
        if (isPaused) break;
        add('film-off', 'wipe', to);
        add('film-dry', 'dry', to);
        break;
      case 'brine':
        if (begins) add('into', 'into-brine', from);
        if (isPaused) break;
        add('out', 'lift', to);
        add('dry', 'dry', to);
        break;
      case 'soak':
        if (!begins) break;
        add(`water-${soaks + 1}`, soaks === 0 ? 'into-water' : 'change-water', from);
        soaks++;
        break;
      case 'paste':
        if (begins) add('into', 'into-paste', from);
        if (isPaused) break;
        add('off', 'wipe', to);
        break;
      case 'rest':
      case 'dry':
        add(`over-${stage.id}`, 'rest-over', to);
        break;
      default:
        break;
    }
    if (stage.id === 'soak' && next?.id !== 'soak' && !isPaused) {
      add('out', 'lift', to);
      add('dry', 'dry', to);
    }
    from = to;
  });
  return steps.sort((a, b) => a.seconds - b.seconds);
}
