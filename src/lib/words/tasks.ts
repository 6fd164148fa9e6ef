import type { Task } from '../core/service/hands.ts';
import type { SetPoint } from '../core/bench/acid/plan.ts';
import { LOOK_WORDS } from './acid.ts';
import type { School } from '../core/bench/cure/programme.ts';
import { cureStepWords, SCHOOL_WORDS } from './cure.ts';
import { missingWord } from './findings.ts';

const WORDS: Record<Task['code'], (seen: Task['seen']) => string> = {
  'tray-discard': (seen) => `Discard ${seen.label}`,
  'cure-due': (seen) => `Take out: ${SCHOOL_WORDS[seen.method as School]?.noun ?? 'cure'}`,
  'cure-step': (seen) => cureStepWords(String(seen.step)),
  'acid-ready': (seen) => `Cut one: ${LOOK_WORDS[seen.wanted as SetPoint] ?? 'ready'}? Then drain it`,
  'acid-past': () => 'Past its best in acid: drain it',
  'cure-paused': () => 'Its cure is paused: put it back, or take it out',
  'freeze-reading': (seen) => `Read ${seen.place}`,
  'freeze-proof': (seen) => `Prove the freeze: read ${seen.place}`,
  'window-closes': () => 'Last raw window closes',
  'paper-missing': (seen) => `Wanted: ${missingWord(String(seen.missing))}`,
  'thaw-due': (seen) => `Thawed? Read the core in ${seen.place}`,
  'board-open': () => 'Close the board: it lies out of the cold',
  'leftover-closed': () => 'Decide: every window is closed'
};

/** What hands have to do. */
export const taskWords = (task: Pick<Task, 'code' | 'seen'>): string => WORDS[task.code](task.seen);

const KIND_WORDS: Record<string, string> = {
  'lot.received': 'Lot received',
  'lot.inspected': 'Inspected',
  'lot.identified': 'Identified by its marks',
  'delivery.opened': 'Delivery opened',
  'delivery.closed': 'Delivery closed',
  'note.imported': 'Delivery note taken in',
  'tag.closed': 'Tag: last served',
  'exception.owned': 'Exception owned',
  'exception.withdrawn': 'Exception taken back',
  'species.set': 'Species set',
  'profile.set': 'Rule copy set',
  'sheet.set': 'Sheet set',
  'notice.set': 'Notice set',
  'evidence.attached': 'Paper attached',
  'piece.made': 'Piece made',
  'piece.gave': 'Piece divided',
  'piece.wasted': 'Waste weighed',
  'piece.moved': 'Moved',
  'piece.reweighed': 'Weighed again',
  'piece.profiled': 'Depth measured',
  'board.opened': 'On the board',
  'board.closed': 'Board closed',
  'label.printed': 'Label printed',
  'place.set': 'Place set',
  'template.set': 'Division set',
  'kitchen.set': 'Kitchen values set',
  'freeze.started': 'Into the freezer',
  'freeze.read': 'Freezer reading',
  'freeze.replanned': 'Freezing forecast made anew',
  'thaw.started': 'Thaw begun',
  'thaw.ended': 'Thawed',
  'sensor.set': 'Sensor set',
  'device.keyed': 'Logger given a key',
  'device.revoked': 'Logger’s key taken back',
  'place.read': 'Place read',
  'excursion.closed': 'Excursion closed',
  'readings.quarantined': 'Readings not believed',
  'log.imported': 'Logger file taken in',
  'freeze.ended': 'Out of the freezer',
  'cure.started': 'Cure begun',
  'cure.changed': 'Cure changed',
  'cure.stepped': 'Cure: step done',
  'cure.ended': 'Out of the cure',
  'acid.started': 'Into the acid',
  'acid.checked': 'Cut open in acid',
  'acid.ended': 'Out of the acid',
  'recipe.set': 'Recipe set',
  'recipe.noted': 'Recipe noted',
  'learning.set': 'Learning set',
  'piece.sliced': 'Sliced',
  'cold.read': 'Cold reading',
  'hold.started': 'Tray started',
  'hold.read': 'Tray reading',
  'piece.served': 'Served',
  'piece.discarded': 'Discarded',
  'house.set': 'House set',
  'person.joined': 'Person joined',
  'person.forgotten': 'Person forgotten',
  'day.signed': 'Day signed',
  'backup.made': 'Backup made',
  'clock.behind': 'Clock read behind the ledger',
  'readings.stored': 'Sensor log kept',
  'entry.amended': 'Amended'
};
/** The name of a kind of entry. */
export const kindWords = (kind: string): string => KIND_WORDS[kind] ?? kind;
