import * as say from './say.ts';
import { said, words } from './speech.ts';
import type { ErrorCode, ErrorDetails } from '../core/errors.ts';
import { fieldName } from './field-names.ts';
import { NOT_NOW, type NotNow } from './not-now.ts';

const number = (value: unknown) =>
  typeof value === 'number' ? String(Math.round(value * 1000) / 1000) : String(value);

function range(details: ErrorDetails): string {
  const { min, max, unit = '' } = details;
  const spaced = unit ? ` ${unit}` : '';
  if (min !== undefined && max !== undefined) return `must be ${number(min)} to ${number(max)}${spaced}`;
  if (max !== undefined) return `must be at most ${number(max)}${spaced}`;
  if (min !== undefined) return `must be at least ${number(min)}${spaced}`;
  return 'is out of range';
}

/** The clock in a time as somebody wrote it: "02:30". */
const clockOf = (seen: unknown) => /\d{1,2}:\d{2}/.exec(String(seen))?.[0] ?? String(seen);

/** What is wrong inside something that was handed in whole. */
function becauseOf({ because }: ErrorDetails): string {
  const inside = because as { code: ErrorCode; details: ErrorDetails } | undefined;
  return inside ? errorSentence(inside.code, inside.details) : '';
}

const SENTENCES: Record<ErrorCode, (details: ErrorDetails, field: string) => string> = /* @__PURE__ */ words({
  'quantity.empty': (_, field) => `${field}: write a figure with its unit.`,
  'quantity.unreadable': ({ seen }, field) => `${field}: "${seen}" cannot be read as a figure with a unit.`,
  'quantity.unit-unknown': ({ seen, candidates }, field) =>
    `${field}: "${seen}" is not a unit known here. Use ${candidates?.join(', ')}.`,
  'quantity.unit-missing': ({ seen, candidates }, field) =>
    `${field}: "${seen}" of what? Use ${candidates?.join(', ')}.`,
  'quantity.ambiguous': ({ seen, candidates }, field) =>
    `${field}: "${seen}" could be ${candidates?.join(' or ')}. Which one?`,
  'quantity.out-of-range': (details, field) => `${field} ${range(details)}; saw ${number(details.seen)}.`,
  'number.not-finite': ({ seen }, field) => `${field}: "${seen}" is not a number.`,
  'time.unreadable': ({ seen }, field) => `${field}: "${seen}" cannot be read as a time.`,
  'time.clock-ahead': ({ seen }) =>
    `This machine’s clock reads ${typeof seen === 'number' ? say.dayOfYear(seen) : seen}, more than a year past the last entry. Nothing was written: written once, no entry could be earlier. Set the clock, or say in House that it is right.`,
  'time.exists-twice': ({ seen }, field) =>
    `${field}: the clocks go back that night, and ${clockOf(seen)} comes twice. Say which one.`,
  'time.in-future': ({ seen }, field) => `${field}: ${seen} has not happened yet.`,
  'time.out-of-order': ({ seen }, field) => `${field}: ${seen ?? 'this'} lies before what it follows.`,
  'time.zone-unknown': ({ seen }, field) => `${field}: "${seen}" is not a known zone, such as Europe/Oslo.`,
  'time.does-not-exist': ({ seen }, field) =>
    `${field}: the clocks go forward that night, and there is no ${clockOf(seen)}. Write the time they showed.`,
  'log.unreadable': ({ seen }) =>
    `This cannot be read as a log: no line holds a time and a temperature${seen ? ` (it begins "${seen}")` : ''}.`,
  'log.zone-needed': () => 'The times in this file name no zone. Say in which zone the logger keeps its clock.',
  'log.nothing-taken': ({ seen }) => `None of the ${seen} rows could be taken. Look at the columns and the zone.`,
  'log.stopped': () => 'Stopped before all of it was kept. What was kept stays, and the ledger says so.',
  'sensor.unknown': ({ seen }) => `There is no sensor "${seen}" in this house. Name it under Cold places first.`,
  'sensor.taken': ({ seen }) => `That key already belongs to ${seen}.`,
  'device.key-unknown': () => 'No logger of this house has that key. Nothing was taken.',
  'device.key-revoked': ({ seen }) => `The key of ${seen} was taken back. Nothing was taken.`,
  'excursion.unknown': ({ seen }) =>
    `There is nothing open at ${seen} that began then; somebody may have dealt with it.`,
  'thaw.in-closed-pack': () =>
    'Fish packed without oxygen leaves its pack before a cold thaw: botulinum grows from 3.3 °C without air. Open the pack, or take responsibility.',
  'slice.none': ({ seen, max }, field) =>
    max === undefined
      ? `${field}: this block is too short for one whole slice so. Stand the blade steeper, or cut cubes.`
      : `${field}: no slice of this cut weighs ${seen} here; the heaviest is ${max} g. Ask for that, or take another cut.`,
  'slice.no-block': (_, field) =>
    `${field}: no block of this height and width lies in it. Ask for a lower one, or a narrower one.`,
  'cure.no-salt': (_, field) =>
    `${field}: sugar alone is no cure. It draws water and sweetens, and keeps nothing; give it salt, or call it a marinade.`,
  'acid.none': () => 'No acid: it will not turn. Pour something sour over it, or leave it raw.',
  'age.weight-up': ({ seen, before }, field) =>
    `${field}: ${seen} is more than ${before === undefined ? 'it' : `the ${number(before)} g it`} weighed last; a fish on the rack does not gain. Weigh it again, or tick that it really weighs that.`,
  'age.weight-drop': ({ seen, before }, field) =>
    `${field}: ${seen} is less than drying takes from what it weighed last${before === undefined ? '' : ` (${number(before)} g)`}. Weigh it again, or tick that it really weighs that.`,
  'age.spot-taken': ({ seen }, field) => `${field}: ${seen} hangs there already.`,
  'age.looser-without-reason': ({ seen }) =>
    `That is looser than what ships (${seen}). Give a reason: your name stays on every verdict it touches.`,
  'cure.not-running': () => 'Its programme has run: nothing is left to pause. Take it out, or give it more time.',
  'recipe.unknown': ({ seen }) => `There is no page "${seen}" in this book.`,
  'ingredient.unknown': ({ seen }) =>
    `“${seen}” is not on the list of ingredients. Choose one that is; or say behind an equals sign what it holds: “${seen} = sesame + may soy”, “${seen} = nothing”, or “${seen} = ?” where nobody knows.`,
  'ingredient.in-a-circle': ({ seen }) => `The house is out of ${seen} as well, and uses this one for it.`,
  'recipe.unreadable': (details) =>
    `This file cannot be read as ${details.list ?? 'recipes'}. ${becauseOf(details)} Nothing was taken.`,
  'species.unknown': ({ seen, candidates }) =>
    `Species "${seen}" is not in the catalogue.${candidates && candidates.length > 0 ? ` Is it ${candidates.join(' or ')}?` : ' Pick one from the list.'}`,
  'species.ambiguous': ({ seen, candidates }) =>
    `"${seen}" is the market name of several species: ${candidates?.join(', ')}. Which one?`,
  'profile.unknown': ({ seen }) => `Rule book "${seen}" is not known here.`,
  'place.unknown': ({ seen }) => `There is no place "${seen}".`,
  'place.name-taken': ({ seen }) => `Another is called ${seen} already: give this one a name of its own.`,
  'record.kind-unknown': ({ seen }) => `The ledger holds a kind of entry ("${seen}") this version does not know.`,
  'record.version-unknown': ({ seen }) => `The ledger holds an entry of a newer version (${seen}).`,
  'record.body-invalid': (details) => `That change would not make a whole entry. ${becauseOf(details)}`.trim(),
  'record.not-found': ({ seen }, field) => `${field} ${seen ?? ''} is not on record.`,
  'record.not-amendable': ({ seen, batch, about }, field) =>
    seen === 'entry.amended'
      ? 'A correction is not corrected: undo it, and correct the entry again.'
      : batch
        ? 'A batch weighs what its parents gave: weigh it again instead.'
        : about
          ? `${field} says what the entry is about: undo the entry, and write another.`
          : `An entry of kind ${seen} cannot be corrected.`,
  'piece.thickness-unknown': ({ seen }) =>
    `${seen ? String(seen) : 'A piece'} has no thickness on record. Measure it, or let it go in alone.`,
  'record.widens-without-owner': ({ seen }) =>
    `This would open a window wider than the record did (${seen}). Tick that you take responsibility; your name and reason stay on it.`,
  'record.not-allowed-now': (details) => (details.why ? NOT_NOW[details.why as NotNow](details) : 'Not now.'),
  'record.stale': () => 'Somebody changed this meanwhile. Look at both below; yours was not written.',
  'record.key-reused': () => 'This form was sent before with other contents. Nothing was written the second time.',
  'record.mass-exceeded': ({ max, seen }, field) =>
    `${field}: ${seen} is more than the ${number(Math.round(Number(max)))} g that are there.`,
  'party.nothing-suits': ({ seen }) =>
    `Nothing that is left suits seat ${seen}. Change the courses, or say that the seat goes without.`,
  'tray.running': ({ seen }) =>
    `The clock of ${seen ?? 'that tray'} runs already. It is not topped up: take a new tray, with a clock of its own.`,
  'dish.not-for-the-pass': ({ seen }) =>
    `${seen} does not say yet how its fish is eaten, or which fish it is. Write that into its page.`,
  'dish.short': ({ seen }) => `There is not enough ${seen} for that. Nothing was taken.`,
  'dish.instead': ({ seen }) => `What is left is not what the card says: ${seen}. Say so to the guest, then take that.`,
  'dish.untrue-name': ({ seen }) =>
    `Its name says ${seen}, and no fish on it is that. Name it after what is on it, or add the fish.`,
  'dish.off': ({ seen }) => `${seen} is off tonight.`,
  'receive.mass-odd': ({ seen, candidates }) => `${seen} for a whole fish? Is it ${candidates?.join(' or ')}?`,
  'receive.core-odd': ({ seen, candidates }) => `A core of ${seen}? Is it ${candidates?.join(' or ')}?`,
  'receive.too-heavy': ({ seen, max, candidates = [] }) =>
    candidates.length > 0
      ? `${seen}? None of its kind is known to weigh more than ${say.mass(Number(max))}. Is it ${candidates.join(' or ')}, or are there more of them?`
      : `${seen}? One of its kind is not known to weigh more than ${say.mass(Number(max))}. How many are there?`,
  'receive.warm-accepted': ({ seen }) =>
    `At ${seen} the rules turn it away. Send it back, or say that you take it all the same.`,
  'record.mass-gone': ({ max, seen }) =>
    `It weighs ${number(seen)} g, and ${number(Math.round(Number(max)))} g stand on record. Say where the rest went.`,
  'record.mass-slip': ({ seen, candidates }, field) =>
    `${field}: ${seen} does not fit this part by a factor of a thousand. Is it ${candidates?.join(' or ')}?`,
  'record.not-balanced': ({ seen, max }) =>
    !Number.isFinite(Number(seen))
      ? 'The weights do not balance. Weigh what is missing, or say where it went.'
      : Number(seen) > 0
        ? `${number(Math.round(Number(seen)))} g are not weighed yet; the scale could be out by ${number(Math.round(Number(max)))} g. Weigh them, or say where they went.`
        : `${number(Math.round(-Number(seen)))} g more came off than went on; the scale could be out by ${number(Math.round(Number(max)))} g. Weigh again, or say why.`,
  'record.too-many-strands': ({ max }) =>
    `That many ways back to a lot cannot be answered for in one batch: at most ${number(max)}. Combine fewer.`,
  'record.combine-refused': ({ seen }) => `These may not become one batch: ${seen}.`,
  'device.too-many': ({ seen, max }) =>
    `${seen ?? 'The logger'} sends more than a logger reads: at most ${number(max)} readings a minute. Nothing was taken; send them again in a minute.`,
  'device.no-scale': ({ seen }) => `The scale does not answer${seen ? ` (${seen})` : ''}. Type the weight.`,
  'device.line-unreadable': ({ seen }) => `The scale said something that cannot be read: ${seen}.`,
  'device.no-printer': ({ seen }) =>
    `The label printer does not answer${seen ? ` (${seen})` : ''}. The sheet can be opened and printed elsewhere.`,
  'record.source-required': ({ shellfish }) =>
    shellfish
      ? 'Shellfish from outside the trade may not be taken in at all. Send it back.'
      : 'Caught outside the trade, it may not be taken in for sale. Receive it for the staff meal or for training, or send it back.',
  'record.not-for-sale': ({ seen }) =>
    `This lot was taken in for ${seen === 'training' ? 'staff training' : 'the staff meal'}. It may not be served to guests.`,
  'record.exception-refused': ({ seen }) =>
    `A name does not open this (${seen}). Your authority’s document may; what is binned or sent back, and a tray whose time is up, nothing does.`,
  'record.needs-authority': ({ seen }) =>
    `A name does not open this (${seen}). Add your authority’s document: number, what it covers, dates and the file.`,
  'record.needs-second-person': () =>
    'This opens something the law leaves to no name. You can correct your own figure within 10 minutes, or undo a bin within 2, on the tablet it was done on. Later a second person corrects it, with a reason.',
  'profile.below-floor': ({ max, unit, seen }, field) =>
    max === undefined
      ? `${field}: a copy may be stricter than the rule book, never looser.`
      : `${field}: ${seen} ${unit} is looser than the rule book; its own figure is ${number(max)} ${unit}.`,
  'note.unreadable': ({ seen }) =>
    `This cannot be read as a delivery note with headings and rows${seen ? `: ${seen}` : ''}.`,
  'note.rows-refused': ({ seen, good }) =>
    Number(good) === 0
      ? `None of the rows can be taken in: ${seen} are broken. Nothing was written.`
      : `${seen} rows are broken, so none was taken in. Mend them, or ask for the ${Number(good) || 'other'} good ones alone.`,
  'file.none-names-them': ({ max }) =>
    `Files that no entry names lie here, ${number(Number(max) / 1024 / 1024)} MB of them at most. Attach them first, or wait a day until they are gone.`,
  'file.empty': () => 'The file is empty.',
  'file.too-large': ({ max }) => `The file is too large: at most ${number(Number(max) / 1024 / 1024)} MB.`,
  'file.type-refused': ({ seen }) =>
    `A paper is a PDF, a JPEG or a PNG; this file is ${seen === 'unknown' ? 'none of them' : seen}.`,
  'file.type-lies': ({ seen, real }) =>
    `The file says it is ${seen}, but its contents are ${real === undefined || real === 'unknown' ? 'something else' : String(real)}. It was not taken.`,
  'store.read-only': () => 'The record cannot be written to: the file is read-only. Nothing was saved.',
  'store.full': () => 'The record is full or its disk is. Nothing was saved; free some space and send it again.',
  'store.damaged': ({ seen }) =>
    `The record in ${seen ?? 'its file'} is damaged and cannot be read. Leave it as it is, stop the app, and put a copy in its place: npm run restore -- copy.`,
  'store.newer': ({ seen }) =>
    `The record in ${seen ?? 'its file'} was written by a later Ember Tide. Start that one, or put an older copy in its place.`,
  'store.in-use': ({ seen }) =>
    `Another Ember Tide has the folder ${seen ?? 'of this house'} open. Stop it first; two at a time would undo each other’s work.`,
  'store.gone': ({ seen }) =>
    `There was a record in ${seen ?? 'this folder'}, and it is gone or empty. Put a copy in its place: npm run restore -- copy. To begin a new house, name another folder; to make a demo anew, add -- --fresh.`,
  'store.no-folder': ({ seen }) =>
    `There is no folder ${seen ?? 'of that name'}. Is it written right? To begin a new house there, make the folder first.`,
  'store.shortened': ({ seen, found }) =>
    typeof found === 'number' && found >= Number(seen)
      ? `This is not the record that was here: its entry ${number(seen)} is another. Nothing is written until the right one is in its place (npm run restore), or somebody says in the ledger that the house goes on with this one.`
      : `Entries are gone from the record: ${number(seen)} were written, and the last that is there is ${number(typeof found === 'number' ? found : 0)}. Nothing is written until a copy is put in its place (npm run restore), or somebody says in the ledger that the house goes on without them.`,
  'form.incomplete': (_, field) => `${field} is needed.`,
  'form.one-of-two': ({ seen }, field) => `${field}: ${seen}, or all of it? Say one of the two.`,
  'form.too-short': ({ min, seen }, field) => `${field}: “${seen}” says too little; at least ${number(min)} letters.`,
  'form.too-long': ({ max, seen }, field) => `${field}: at most ${number(max)} letters; saw ${number(seen)}.`,
  'form.too-many': ({ max }, field) => `${field}: at most ${number(max)} of them.`,
  'form.value-unknown': ({ seen, taken, candidates }, field) =>
    taken
      ? `${field}: "${seen}" is here already.`
      : `${field}: ${seen} cannot be used.${candidates && candidates.length > 0 && candidates.length <= 12 ? ` Use ${candidates.filter(Boolean).join(', ')}.` : ''}`,
  'person.required': () => 'Say who you are first: pick your name at the top.',
  'person.last': () =>
    'That is the last person of the house: nobody could write anything down any more. Add another first.',
  'person.unknown': ({ seen }) => `Nobody here goes by ${seen}.`,
  'request.too-large': ({ max }) => `That is too large to take: at most ${number(max)} bytes.`,
  'request.too-many-streams': ({ max }) => `One device follows the house on at most ${number(max)} lines at a time.`,
  'request.foreign-origin': () => 'That came from another site and was not taken.',
  'request.not-json': () => 'That cannot be read as JSON.',
  'request.not-a-form': () => 'That is no form, or it was cut short on the way. Nothing was written: send it again.',
  'request.key-too-long': ({ max }) => `The key of a request has at most ${max} letters. Nothing was written.`,
  'request.unknown-path': ({ seen }) => `There is nothing at ${seen}.`
});

/**
 * What went wrong, in a sentence that names the field, the unit and the range.
 *
 * @param named what a field is called where it was set; its usual name where that says nothing
 */
export const errorSentence = /* @__PURE__ */ said(function errorSentence(
  code: ErrorCode,
  details: ErrorDetails = {},
  named?: (field: string) => string | undefined
): string {
  const { field } = details;
  return SENTENCES[code](details, field ? (named?.(field) ?? fieldName(field)) : 'This');
});
