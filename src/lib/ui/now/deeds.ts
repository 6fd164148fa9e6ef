import { nowPage as t } from '$lib/words/screens/now.ts';
import { CORRECTIVE_WORDS } from '$lib/words/cold.ts';
import { LOOKS, LOOK_FIELDS } from '$lib/core/activity/age/lists.ts';
import type { CORRECTIVE } from '$lib/core/activity/cold/bodies.ts';
import type { Alarm, Todo as AnyTodo } from '$lib/core/service/todo.ts';
import type { AnyTaskCode } from '$lib/words/tasks.ts';
import * as say from '$lib/words/say.ts';

type Todo = AnyTodo<AnyTaskCode>;
type Also = Readonly<Record<string, string | number | boolean>>;

/** What is done in the row of a task: at a touch, held down, or with one figure; or where the hand goes to do it. */
export type RowDeed =
  | { readonly kind: 'touch' | 'held'; readonly operation: string; readonly also: Also; readonly label: string }
  | {
      readonly kind: 'figure';
      readonly operation: string;
      readonly also: Also;
      readonly label: string;
      readonly field: string;
      readonly of: 'temperature' | 'mass';
      readonly word: string;
      readonly optional?: boolean;
    }
  | { readonly kind: 'go'; readonly path: string; readonly label: string };

const go = (path: string, label: string): RowDeed => ({ kind: 'go', path, label });
const reading = (operation: string, also: Also): RowDeed => ({
  kind: 'figure',
  operation,
  also,
  label: t.write,
  field: 'reading',
  of: 'temperature',
  word: t.itReads
});
const binned = ({ grams }: Todo, reason: string): RowDeed => ({
  kind: 'held',
  operation: 'discard-piece',
  also: { reason, all: true },
  label: t.binAll(say.mass(grams))
});
/** Out of the bath into the place where it lay in it. */
const drained = ({ place }: Todo): RowDeed => ({
  kind: 'touch',
  operation: 'end-acid',
  also: { place },
  label: t.takeItOut
});
const FINE: Also = Object.fromEntries(LOOK_FIELDS.map((field) => [field, LOOKS[field][0]]));

const DEEDS: Readonly<Record<Todo['code'], (task: Todo, now: number) => RowDeed>> = {
  // As long as it may be served, that is what is done with it.
  'tray-discard': (task, now) =>
    task.at > now ? go(`/serve?piece=${task.piece}`, t.serveIt) : binned(task, t.timeIsUp),
  'leftover-closed': (task) => binned(task, t.everyWindowIsClosed),
  'rice-discard': ({ piece }) => ({
    kind: 'held',
    operation: 'bin-tub',
    also: { tub: piece, reason: t.timeIsUp },
    label: t.binIt
  }),
  'board-open': ({ piece }) => go(`/break?piece=${piece}#finish`, t.finishIt),
  'warm-hours': ({ piece }) => go(`/piece/${piece}?do=move#move`, t.moveIt),
  'window-closes': ({ piece }) => go(`/serve?piece=${piece}`, t.serveIt),
  'knife-due': ({ seen }) => ({
    kind: 'touch',
    operation: 'sharpen-knife',
    also: { knife: String(seen.knife), how: 'stone' },
    label: t.sharpenedOnStones
  }),
  'label-stale': ({ piece }) => go(`/labels?piece=${piece}`, t.printIt),
  'read-it': ({ seen }) =>
    seen.place ? reading('read-place', { place: String(seen.place) }) : reading('read-cold', {}),
  'paper-missing': ({ piece, seen, lot }) => {
    const missing = String(seen.missing);
    if (missing === 'decision.hold-to-freeze') return go(`/freeze?piece=${piece}`, t.freezeIt);
    if (missing.startsWith('temperature.')) return go(`/inspect/${lot}`, t.lookAtIt);
    return go(`/piece/${piece}#papers`, t.attachIt);
  },
  'acid-ready': ({ piece }) => go(`/acid?piece=${piece}`, t.cutOne),
  'acid-out': drained,
  'acid-later': drained,
  'acid-past': drained,
  'cure-step': ({ seen }) => ({
    kind: 'touch',
    operation: 'step-cure',
    also: { step: String(seen.id) },
    label: t.itIsDone
  }),
  'cure-due': ({ place }) => ({
    kind: 'figure',
    operation: 'end-cure',
    also: { place },
    label: t.takeItOut,
    field: 'massAfter',
    of: 'mass',
    word: t.itWeighs,
    optional: true
  }),
  'cure-paused': ({ piece }) => go(`/cure?piece=${piece}`, t.openIt),
  'freeze-reading': () => reading('read-freeze', { probe: 'core' }),
  'freeze-proof': () => reading('read-freeze', { probe: 'core' }),
  'thaw-due': ({ piece }) => go(`/freeze/thaw?piece=${piece}`, t.readItsCore),
  'age-look': () => ({ kind: 'touch', operation: 'look-aged', also: FINE, label: t.allAsItShouldBe }),
  'age-ready': ({ piece }) => go(`/age?piece=${piece}`, t.openIt),
  'age-stopped': ({ piece }) => go(`/age?piece=${piece}`, t.takeItOut)
};

/** What a task wants of the hands, in its row. */
export const deedOf = (task: Todo, now: number): RowDeed => DEEDS[task.code](task, now);

type Answer = (typeof CORRECTIVE)[number];
/** Asked each time: words are those of who is looked after now. */
const answerLabel = (answer: Answer): string => {
  const labels: Partial<Record<Answer, string>> = {
    'core-checked': t.coreIsCold,
    'door-closed': t.doorIsShut,
    'sensor-mended': t.sensorIsMended,
    'hold-restarted': t.clockStartedAgain
  };
  return labels[answer] ?? CORRECTIVE_WORDS[answer];
};
const ANSWERS: Readonly<Record<Alarm['kind'], readonly Answer[]>> = {
  warm: ['core-checked', 'door-closed'],
  silent: ['sensor-mended', 'core-checked'],
  hold: ['hold-restarted'],
  quarantine: ['sensor-mended']
};
/** Its usual answers, one touch each; what still lasts is read again first. */
export function answersTo({ kind, place, from, to }: Alarm): RowDeed[] {
  if (to === null) return [reading('read-place', { place })];
  return [
    ...ANSWERS[kind].map((action): RowDeed => ({
      kind: 'touch',
      operation: 'close-excursion',
      also: { place, kind, from, action, note: CORRECTIVE_WORDS[action] },
      label: answerLabel(action)
    })),
    go('/freeze/places', t.otherAnswer)
  ];
}
