import { EVENT_KINDS, type BodyOf, type EventKind, type RecordEvent } from '../core/record/events.ts';
import { LOOK_WORDS } from './acid.ts';
import { CORRECTIVE_WORDS } from './cold.ts';
import { CURE_NAMES, cureStepWords } from './cure-names.ts';
import { USE_WORDS, WASTE_WORDS } from './cuts.ts';
import { ROUTE_WORDS } from './findings.ts';
import { DECISION_OPTIONS } from './receive.ts';
import * as say from './say.ts';
import { SHARPENING_WORDS, STYLE_WORDS } from './knife-names.ts';
import { said, words } from './speech.ts';

/** What a line of the ledger needs besides its entry: who did it, what it was done to, and what others are called. */
export interface Told {
  readonly by: string;
  readonly of: string;
  /** The name of a sensor, a service, a document or a person, by its id. */
  readonly named: (id: string) => string;
}
type Line<Kind extends EventKind> = (body: BodyOf<Kind>, told: Told) => string;

/** Who did what no person and no logger did. */
export const OF_THE_HOUSE = 'The house';

interface Typed {
  readonly si: number;
}
const mass = (typed: Typed | null) => (typed ? say.mass(typed.si) : '');
const degrees = (typed: Typed | null) => (typed ? say.temperature(typed.si) : '');
/** "; core 1.2 °C", where it was read. */
const core = (typed: Typed | null) => (typed ? `; core ${degrees(typed)}` : '');
const ofIt = (typed: Typed | null) => (typed ? `${mass(typed)} of ` : '');
const into = (place: string) => (place === '' ? '' : ` into ${place}`);
const why = (reason: string) => (reason === '' ? '' : `: “${reason.replace(/\.$/, '')}”`);
const decided = (decision: keyof typeof DECISION_OPTIONS) => DECISION_OPTIONS[decision].toLowerCase();

/** A kind of entry as one sentence. What else it holds folds out beside it. */
const LINES: { readonly [Kind in EventKind]: Line<Kind> } = /* @__PURE__ */ words({
  'lot.received': ({ mass: typed, supplier, core: read, decision }, { by, of }) =>
    `${by} received ${mass(typed)} of ${of}${supplier ? ` from ${supplier}` : ''}${core(read)}. Decision: ${decided(decision)}.`,
  'lot.returned': ({ mass: typed, to, reason }, { by, of }) =>
    `${by} sent ${mass(typed)} of ${of} back with ${to}${why(reason)}.`,
  'delivery.opened': ({ supplier, vehicle }, { by }) =>
    `${by} started a delivery from ${supplier}${vehicle ? `; vehicle ${degrees(vehicle)}` : ''}.`,
  'delivery.closed': ({ lots }, { by }) =>
    `${by} finished the delivery: ${say.plural(lots, { one: 'lot', other: 'lots' })}.`,
  'note.imported': ({ file, imported, refused }, { by }) =>
    `${by} received ${say.plural(imported, { one: 'lot', other: 'lots' })} from the delivery note ${file}${refused.length > 0 ? `; ${say.plural(refused.length, { one: 'row', other: 'rows' })} left out` : ''}.`,
  'lot.inspected': ({ iceDays, decision, reason }, { by, of }) =>
    `${by} inspected ${of}: ${say.number(iceDays.likely)} days on ice by eye. Decision: ${decided(decision)}${why(reason)}.`,
  'lot.identified': (_, { by, of }) => `${by} told the fish by its marks: ${of}.`,
  'exception.owned': ({ routes, reason }, { by, of }) =>
    `${by} took responsibility for ${of} (${say.list(routes.map((route) => ROUTE_WORDS[route].toLowerCase()))})${why(reason)}.`,
  'exception.withdrawn': ({ exception, reason }, { by }) =>
    `${by} undid the responsibility of entry ${exception}${why(reason)}.`,
  'evidence.attached': ({ issuer, reference }, { by, of }) =>
    `${by} attached a paper to ${of}: from ${issuer}${reference ? `, No. ${reference}` : ''}.`,
  'tag.closed': ({ lastServedOn, keepUntil }, { by, of }) =>
    `${by} wrote on the tag of ${of}: last served ${say.day(lastServedOn)}. Kept until ${say.day(keepUntil)}.`,
  'piece.made': ({ grams, use }, { by, of }) =>
    `${by} made ${of}: ${say.mass(grams)}${use ? `, for ${USE_WORDS[use]}` : ''}.`,
  'piece.gave': ({ child, grams }, { by, of }) => `${by} took ${say.mass(grams)} from ${of}: ${child}.`,
  'piece.wasted': ({ what, mass: typed }, { by, of }) =>
    `${by} weighed waste of ${of}: ${WASTE_WORDS[what]}, ${mass(typed)}.`,
  'piece.moved': ({ place, core: read, secondsOut }, { by, of }) =>
    `${by} moved ${of}${into(place)}${core(read)}${secondsOut > 0 ? `; ${say.span(secondsOut)} out of the cold` : ''}.`,
  'piece.reweighed': ({ mass: typed, before }, { by, of }) =>
    `${by} weighed ${of} again: ${mass(typed)}, ${say.mass(before)} before.`,
  'piece.profiled': ({ lengthMm }, { by, of }) => `${by} measured the depth of ${of}, ${say.length(lengthMm)} long.`,
  'label.printed': ({ copies }, { by, of }) =>
    `${by} printed ${say.plural(copies, { one: 'label', other: 'labels' })} of ${of}.`,
  'board.opened': ({ grams, core: read }, { by, of }) =>
    `${by} started cutting ${of} (${say.mass(grams)})${core(read)}.`,
  'board.closed': ({ remains, secondsOut }, { by, of }) =>
    `${by} finished the board of ${of}: ${say.mass(remains)} uncut, ${say.span(secondsOut)} out of the cold.`,
  'template.set': ({ name, withdrawn }, { by }) =>
    withdrawn ? `${by} took the division ${name} off the list.` : `${by} set the division ${name}.`,
  'kitchen.set': (_, { by }) => `${by} set what by-products, portions and the scale count as.`,
  'freeze.started': ({ place, startCore }, { by, of }) => `${by} put ${of}${into(place)} to freeze${core(startCore)}.`,
  'freeze.read': ({ reading, probe }, { by, of }) =>
    probe === 'core'
      ? `${by} read the core of ${of}: ${degrees(reading)}.`
      : `${by} read the air round ${of}: ${degrees(reading)}.`,
  'freeze.replanned': ({ air }, { by, of }) => `${by} forecast the freezing of ${of} again, in air of ${degrees(air)}.`,
  'freeze.ended': ({ place, release }, { by, of }) =>
    `${by} took ${of} out of the freezer${into(place)}${release ? `: ${say.span(release.heldSeconds)} proven${release.satisfiedAt === null ? ', not complete' : ', complete'}` : ''}.`,
  'thaw.started': ({ place, grams }, { by, of }) => `${by} started to thaw ${of} (${say.mass(grams)}) in ${place}.`,
  'thaw.ended': ({ core: read }, { by, of }) => `${by} took ${of} out of the thaw${core(read)}.`,
  'cure.started': ({ method, grams, saltGrams, place, dueAt }, { by, of }) =>
    `${by} put ${of} (${say.mass(grams)}) in a ${CURE_NAMES[method].noun}${place ? `, ${place}` : ''}: ${say.mass(saltGrams)} salt. Due ${say.dayAndTime(dueAt)}.`,
  'cure.changed': ({ change, dueAt, note }, { by, of }) =>
    change === 'pause'
      ? `${by} paused the cure of ${of}${why(note)}.`
      : `${by} ${change === 'resume' ? 'went on with' : 'changed'} the cure of ${of}. Due ${say.dayAndTime(dueAt)}.`,
  'cure.stepped': ({ code, note }, { by, of }) =>
    `${by} did a step of ${of}: ${cureStepWords(code).toLowerCase()}${why(note)}.`,
  'cure.ended': ({ massAfter, place }, { by, of }) =>
    `${by} took ${of} out of the cure${into(place)}${massAfter ? `; ${mass(massAfter)} now` : ''}.`,
  'learning.set': ({ cure }, { by }) =>
    cure ? `${by} let cure forecasts learn from this house.` : `${by} stopped cure forecasts from learning.`,
  'acid.started': ({ place, set }, { by, of }) =>
    `${by} put ${of} in acid${place ? `, ${place}` : ''}; wanted ${LOOK_WORDS[set.wanted]}.`,
  'acid.checked': ({ rawMm }, { by, of }) => `${by} cut ${of} open in the acid: ${say.length(rawMm)} raw inside.`,
  'acid.lifted': ({ mass: typed, look, child }, { by, of }) =>
    `${by} took ${mass(typed)} of ${of} out of the acid, ${LOOK_WORDS[look]}: ${child}.`,
  'acid.ended': ({ look, place, massAfter }, { by, of }) =>
    `${by} took ${of} out of the acid, ${LOOK_WORDS[look]}${into(place)}${massAfter ? `; ${mass(massAfter)} now` : ''}.`,
  'piece.dressed': ({ sauce, sauceGrams }, { by, of }) =>
    `${by} dressed ${of}${sauce ? ` with ${say.mass(sauceGrams)} ${sauce.name}` : ''}.`,
  'ingredient.set': ({ ingredient, withdrawn }, { by }) =>
    withdrawn ? `${by} took ${ingredient.name} off the ingredients.` : `${by} set the ingredient ${ingredient.name}.`,
  'ingredient.swapped': ({ id, instead, reason }, { by, named }) =>
    `${by} uses ${named(instead)} instead of ${named(id)}${why(reason)}.`,
  'ingredient.back': ({ id }, { by, named }) => `${by} uses ${named(id)} again.`,
  'age.started': ({ place, spot }, { by, of }) => `${by} hung ${of} in ${place}${spot ? `, ${spot}` : ''}.`,
  'age.weighed': ({ mass: typed }, { by, of }) => `${by} weighed ${of} on the rack: ${mass(typed)}.`,
  'age.moved': ({ place, spot }, { by, of }) => `${by} moved ${of} on the rack to ${place}${spot ? `, ${spot}` : ''}.`,
  'age.looked': ({ stops }, { by, of }) =>
    stops.length > 0 ? `${by} looked at ${of}: a sign ends its ageing.` : `${by} looked at ${of}: all as it should be.`,
  'age.ended': ({ place, massAfter }, { by, of }) =>
    `${by} took ${of} out of the rack${into(place)}${massAfter ? `; ${mass(massAfter)} now` : ''}.`,
  'ageing.set': ({ wholeDays, filletDays }, { by }) =>
    `${by} set the ageing rules: whole fish ${wholeDays} days, fillets ${filletDays}.`,
  'rack.set': ({ place, hooks, shelves }, { by }) => `${by} drew ${place}: ${hooks} hooks, ${shelves} shelves.`,
  'service.set': ({ name, at, withdrawn }, { by }) =>
    withdrawn ? `${by} cancelled the service ${name}.` : `${by} planned the service ${name}, ${say.dayAndTime(at)}.`,
  'piece.sliced': ({ pieces, pieceGrams }, { by, of }) =>
    `${by} sliced ${of}: ${say.plural(pieces, { one: 'slice', other: 'slices' })} of ${say.mass(pieceGrams)}.`,
  'knife.set': ({ name, every, withdrawn }, { by }) =>
    withdrawn ? `${by} took ${name} out of the knives.` : `${by} set ${name}: sharpened after ${every} strokes.`,
  'knife.sharpened': ({ name, how, note }, { by }) => `${by} sharpened ${name}: ${SHARPENING_WORDS[how]}${why(note)}.`,
  'style.set': ({ style, note, withdrawn }, { by }) =>
    withdrawn
      ? `${by} has ${STYLE_WORDS[style]} as usual again.`
      : `${by} set how ${STYLE_WORDS[style]} is cut here${why(note)}.`,
  'cut.set': ({ name, like, note, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took the cut ${name} out of the book.`
      : `${by} set a cut of the house, ${name}, like ${STYLE_WORDS[like]}${why(note)}.`,
  'piece.squared': ({ blocks, wantHeight, wantWidth }, { by, of }) =>
    `${by} squared ${of} into ${say.plural(blocks.length, { one: 'block', other: 'blocks' })}, ${say.length(wantHeight.si)} high and ${say.length(wantWidth.si)} wide.`,
  'block.sized': ({ lengthMm, heightMm, widthMm }, { of }) =>
    `${of} is ${say.length(lengthMm)} long, ${say.length(heightMm)} high and ${say.length(widthMm)} wide.`,
  'slices.weighed': ({ weights, per, aimGrams }, { by, of }) =>
    `${by} weighed ${say.plural(weights.length * per, { one: 'slice', other: 'slices' })} of ${of} against ${say.mass(aimGrams)} each.`,
  'slices.lifted': ({ what, count, gramsEach }, { by, of }) =>
    what === 'off-cut' || count === null
      ? `${by} kept ${of} of what was left.`
      : `${by} lifted ${of}: ${say.plural(count, { one: 'piece', other: 'pieces' })}${gramsEach === null ? '' : ` of ${say.mass(gramsEach)}`}.`,
  'hold.started': ({ label, startCore, discardAt }, { by, of }) =>
    `${by} put ${of} on ${label}${core(startCore)}. Bin at ${say.dayAndTime(discardAt)}.`,
  'hold.read': ({ reading }, { by, of }) => `${by} read ${of} on its tray: ${degrees(reading)}.`,
  'piece.benched': ({ ms, dish }, { of }) =>
    `${of} lay on the board for ${dish || 'a plate'}: ${say.span(ms / 1000)} out of the cold, by the house’s usual time.`,
  'piece.served': ({ mass: typed, dish, route }, { by, of }) =>
    `${by} served ${ofIt(typed)}${of}, ${route}${dish ? `: ${dish}` : ''}.`,
  'piece.discarded': ({ mass: typed, reason }, { by, of }) => `${by} binned ${ofIt(typed)}${of}${why(reason)}.`,
  'party.set': ({ name, seats, courses, closed }, { by }) =>
    closed
      ? `${by} closed ${name}.`
      : `${by} chose ${say.plural(courses.length, { one: 'course', other: 'courses' })} for ${name}, ${say.plural(seats.length, { one: 'seat', other: 'seats' })}.`,
  'party.sent': ({ name, course, seats }, { by }) =>
    `${by} sent course ${course + 1} to ${name}: ${say.plural(seats.filter((each) => each !== null).length, { one: 'plate', other: 'plates' })}.`,
  'tub.made': ({ name, mass: typed, discardAt }, { by }) =>
    `${by} dressed ${typed ? `${mass(typed)} of ` : ''}${name}. Bin at ${say.dayAndTime(discardAt)}.`,
  'tub.read': ({ reading }, { by, of }) => `${by} read ${of}: ${degrees(reading)}.`,
  'tub.binned': ({ mass: typed, reason }, { by, of }) => `${by} binned ${ofIt(typed)}${of}${why(reason)}.`,
  'cold.read': ({ reading, place }, { by, of }) => `${by} read the core of ${of} in ${place}: ${degrees(reading)}.`,
  'place.set': ({ name, withdrawn }, { by }) =>
    withdrawn ? `${by} took ${name} off the cold places.` : `${by} set the cold place ${name}.`,
  'sensor.set': ({ name, place, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took the sensor ${name} off the list.`
      : `${by} set the sensor ${name}${place ? ` in ${place}` : ''}.`,
  'device.keyed': ({ name }, { by }) => `${by} gave the logger ${name} a key.`,
  'device.revoked': ({ id, reason }, { by, named }) => `${by} took the key of ${named(id)} back${why(reason)}.`,
  'place.read': ({ place, reading }, { by }) => `${by} read the air of ${place}: ${degrees(reading)}.`,
  'excursion.closed': ({ place, action, note }, { by }) =>
    `${by} dealt with the alarm of ${place}: ${CORRECTIVE_WORDS[action]}${why(note)}.`,
  'readings.stored': ({ sensor, count, minCelsius, maxCelsius }, { named }) =>
    `${named(sensor)} read ${say.plural(count, { one: 'time', other: 'times' })}: ${say.temperature(minCelsius)} to ${say.temperature(maxCelsius)}.`,
  'readings.quarantined': ({ sensor, count }, { named }) =>
    `${say.plural(count, { one: 'reading', other: 'readings' })} of ${named(sensor)} not believed.`,
  'log.imported': ({ file, rows }, { by }) =>
    `${by} took in the logger file ${file}: ${say.plural(rows, { one: 'row', other: 'rows' })}.`,
  'recipe.set': ({ page, version, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took the recipe ${page.name} out of the book.`
      : `${by} wrote the recipe ${page.name}, version ${version}.`,
  'recipe.noted': ({ id, note }, { by, named }) => `${by} tasted ${named(id)}${why(note)}.`,
  'sauce.set': ({ page, version, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took the sauce ${page.name} out of the book.`
      : `${by} wrote the sauce ${page.name}, version ${version}.`,
  'sauce.noted': ({ id, note }, { by, named }) => `${by} tasted ${named(id)}${why(note)}.`,
  'dish.set': ({ page, version, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took the dish ${page.name} off the card.`
      : `${by} wrote the dish ${page.name}, version ${version}.`,
  'dish.off': ({ name, until }, { by }) =>
    until === null ? `${by} put ${name} on again.` : `${by} took ${name} off for tonight.`,
  'dish.noted': ({ id, note }, { by, named }) => `${by} tasted ${named(id)}${why(note)}.`,
  'species.set': ({ id, withdrawn }, { by, named }) =>
    withdrawn
      ? `${by} went back to the shipped values of ${named(id)}.`
      : `${by} set the house’s own values of ${named(id)}.`,
  'profile.set': ({ name, base, reason }, { by, named }) =>
    `${by} set the house’s copy ${name} of ${named(base)}${why(reason)}.`,
  'sheet.set': ({ reason }, { by }) => `${by} set an inspection sheet${why(reason)}.`,
  'notice.set': ({ text }, { by }) =>
    text ? `${by} worded the raw-food notice.` : `${by} brought the shipped notice back.`,
  'document.filed': ({ number, authority, expiresOn, withdrawn }, { by }) =>
    withdrawn
      ? `${by} took document No. ${number} off the list.`
      : `${by} filed document No. ${number} of ${authority}, valid until ${say.day(expiresOn)}.`,
  'house.set': ({ name }, { by }) => `${by} set how the house ${name} works.`,
  'person.joined': (_, { by, of }) =>
    by === of || by === OF_THE_HOUSE ? `${of} joined the house.` : `${by} added ${of} to the house.`,
  'person.forgotten': (_, { by, of }) => `${by} had the name of ${of} forgotten.`,
  'day.signed': ({ day }, { by }) => `${by} signed the day ${say.day(day)}.`,
  'backup.made': ({ file }, { by }) => `${by} made the backup ${file}.`,
  'clock.behind': ({ behindSeconds }) => `The machine’s clock was ${say.span(behindSeconds)} behind the ledger.`,
  'clock.confirmed': ({ aheadSeconds, reason }, { by }) =>
    `${by} looked at the machine’s clock, ${say.span(aheadSeconds)} past the last entry, and found it right${why(reason)}.`,
  'clock.corrected': ({ fromSeq, toSeq, aheadMs, reason }, { by }) =>
    `${by} put the times of entries ${fromSeq} to ${toSeq} right: the machine’s clock was ${say.span(aheadMs / 1000)} ahead${why(reason)}.`,
  'loss.confirmed': ({ notedSeq, notedHash, foundSeq, foundHash, reason }, { by }) =>
    notedSeq <= foundSeq && notedHash !== foundHash
      ? `${by} went on with another record than the one whose entry ${notedSeq} was noted${why(reason)}.`
      : notedSeq > foundSeq
        ? `${by} went on after entry ${foundSeq}, without the ${notedSeq - foundSeq} that came after it and are gone${why(reason)}.`
        : `${by} went on with the record as it is, after looking for what may be gone${why(reason)}.`,
  'entry.amended': ({ amends, void: undone, reason }, { by }) =>
    undone ? `${by} undid entry ${amends}${why(reason)}.` : `${by} corrected entry ${amends}${why(reason)}.`
});

/** An entry of the ledger as a sentence: who did what to what. */
export const entryLine = /* @__PURE__ */ said((entry: RecordEvent, told: Told): string =>
  (LINES[entry.kind] as Line<EventKind>)(entry.body, told)
);
/** The kinds there are, so that a test can ask each for its line. */
export const KINDS_TOLD = Object.keys(EVENT_KINDS) as EventKind[];
