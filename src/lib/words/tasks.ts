import { said, words } from './speech.ts';
import type { Together } from '../core/record/slice.ts';
import type { TaskCode } from '../core/service/hands.ts';
import type { Step, Task } from '../core/service/show.ts';
import type { HouseCode } from '../core/service/house-tasks.ts';
import type { SubjectCode } from '../core/service/subjects.ts';
import { receiveWords } from './activity/receive.ts';
import { inspectWords } from './activity/inspect.ts';
import { papersWords } from './activity/papers.ts';
import { pieceWords } from './activity/piece.ts';
import { boardWords } from './activity/board.ts';
import { freezeWords } from './activity/freeze.ts';
import { thawWords } from './activity/thaw.ts';
import { cureWords } from './activity/cure.ts';
import { acidWords } from './activity/acid.ts';
import { ageWords } from './activity/age.ts';
import { bookWords } from './activity/book.ts';
import { riceWords } from './activity/rice.ts';
import { sliceWords } from './activity/slice.ts';
import { trayWords } from './activity/tray.ts';
import { coldWords } from './activity/cold.ts';
import { houseWords } from './activity/house.ts';
import { ledgerWords } from './activity/ledger.ts';
import type { ActivityWords } from './activity/words.ts';
import { missingWord } from './scopes.ts';

const OF = [
  receiveWords,
  inspectWords,
  papersWords,
  pieceWords,
  boardWords,
  freezeWords,
  thawWords,
  cureWords,
  acidWords,
  ageWords,
  bookWords,
  riceWords,
  sliceWords,
  trayWords,
  coldWords,
  houseWords,
  ledgerWords
] as const;
const together = <Part extends keyof ActivityWords>(part: Part) =>
  Object.assign({}, ...OF.map((each) => each[part])) as Together<(typeof OF)[number][Part]>;

/** What hands have to do, whatever lies behind it. */
const OWN_TASKS = /* @__PURE__ */ words({
  'window-closes': () => 'Last raw window closes',
  'paper-missing': (seen: Task['seen']) => `Missing: ${missingWord(String(seen.missing))}`,
  'read-it': (seen: Task['seen']) => (seen.place ? `Read ${seen.place}` : 'Read its core: not read for a day'),
  'warm-hours': (seen: Task['seen']) =>
    Number(seen.pieces) > 1
      ? `Into the cold: ${seen.pieces} pieces lie warm in ${seen.place}`
      : `Into the cold: it lies warm${seen.place ? ` in ${seen.place}` : ''}`,
  'leftover-closed': () => 'Decide: every window is closed'
});
/** Codes of all tasks: of fish, and of what else an activity keeps. */
export type AnyTaskCode = TaskCode | SubjectCode | HouseCode;
const TASK_WORDS: Record<AnyTaskCode, (seen: Task['seen']) => string> = /* @__PURE__ */ words({
  ...OWN_TASKS,
  ...together('tasks')
});
const STEP_WORDS: Readonly<Record<string, (seen: Step['seen']) => string>> = together('steps');

/** What hands have to do. */
export const taskWords = /* @__PURE__ */ said((task: Pick<Task<AnyTaskCode>, 'code' | 'seen'>): string =>
  TASK_WORDS[task.code](task.seen)
);
/** What stands on a step of the tide chart. */
export const stepWords = /* @__PURE__ */ said(
  (step: Pick<Step, 'kind' | 'seen'>): string => STEP_WORDS[step.kind]?.(step.seen) ?? step.kind
);
