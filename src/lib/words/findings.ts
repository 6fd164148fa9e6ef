import * as say from './say.ts';
import { said, speech, words } from './speech.ts';
import type { ChangeCode, FindingCode } from '../core/codes/finding.ts';
import type { Reason, Route, WindowState } from '../core/codes/window.ts';
import type { School } from '../core/activity/cure/lists.ts';
import { lookWords } from './age.ts';
import { LOOK_WORDS } from './acid.ts';
import type { SetPoint } from '../core/activity/acid/lists.ts';
import { CURE_NAMES } from './cure-names.ts';
import { formatDuration } from '../core/measure/format.ts';
import { safety } from './safety.ts';
import type { UnitPreferences } from '../core/measure/units.ts';

/** Every sentence the product says about a finding, by code. */

export const ROUTE_WORDS: Record<Route, string> = /* @__PURE__ */ words({
  raw: 'Raw',
  cured: 'Cured',
  acid: 'Acid',
  seared: 'Seared',
  cooked: 'Cooked'
});

export const STATE_WORDS: Record<WindowState, string> = /* @__PURE__ */ words({
  'not-cleared': 'Not cleared',
  locked: 'Locked until',
  open: 'Open until',
  ebbing: 'Closing',
  closed: 'Closed',
  never: 'Never'
});

type Seen = Reason['seen'];
const text = (seen: Seen, key: string) => String(seen[key] ?? '');
/** A moment on the house's clock; nothing where there is none. */
const moment = (seen: Seen, key: string) => (typeof seen[key] === 'number' ? say.dayAndTime(seen[key]) : '');
const hours = (seen: Seen, key: string) => formatDuration(Number(seen[key] ?? 0));
/** Days on ice: to a tenth, for nobody can tell hundredths of a day. */
const daysUsed = (seen: Seen) => say.number(Number(seen.spentDays ?? 0), 1);
/** A temperature in the house's scale: of a limit, as the rule prints it there. */
type Degrees = (celsius: unknown, fahrenheit?: unknown) => string;
const figure = (value: number, unit: string) => `${say.exactly(value, 1).replace('-', '\u2212')}\u00a0°${unit}`;
const DEGREES: Record<UnitPreferences['temperature'], Degrees> = {
  C: (celsius) => figure(Number(celsius), 'C'),
  F: (celsius, fahrenheit) => figure(Number(fahrenheit ?? (Number(celsius) * 9) / 5 + 32), 'F')
};

const basis = (seen: Seen): string => {
  const [day = '', hour = ''] = text(seen, 'caughtOn').split('T');
  const caught = `from its catch, ${say.day(day)}${hour === '' ? '' : ` at ${hour.slice(0, 5)}`}`;
  if (seen.basis === 'catch') return caught;
  if (seen.basis === 'both') return `${caught}, or as old as its inspection read it, whichever is older`;
  if (seen.basis === 'inspection') return 'by the age its inspection read off it, at the old end of the band';
  return 'from its arrival, the day of catch not being known';
};

const CAUSES: Record<string, string> = /* @__PURE__ */ words({
  reading: ', most of it by its core',
  log: ', most of it by the log of its place',
  out: ', most of it on boards and counters',
  place: ', most of it in a place that is not on your list of cold places',
  thaw: ', most of it thawing',
  bath: ', most of it in a warm bath',
  silence: ', most of it unread',
  tray: ', most of it on a tray'
});
const cause = (seen: Seen): string => CAUSES[text(seen, 'cause')] ?? '';

const SPELLS: Record<string, string> = /* @__PURE__ */ words({
  reading: 'its core read warm',
  log: 'its place read warm',
  out: 'out of the cold',
  place: 'a place that is not on the list of cold places',
  thaw: 'thawing',
  bath: 'in a warm bath',
  silence: 'nobody read it',
  tray: 'on a tray'
});
/** What made a stretch of its time warm, in words. */
export const warmCause = /* @__PURE__ */ said((code: string): string => SPELLS[code] ?? code);

const TAG_WORDS: Record<string, string> = /* @__PURE__ */ words({
  dealer: 'the dealer’s number',
  harvestedOn: 'the day of harvest',
  harvestArea: 'the waters',
  quantity: 'how much it is'
});
const listed = (codes: string, words: Record<string, string>) =>
  codes
    .split(', ')
    .map((code) => words[code] ?? code)
    .join(', ');
const tagWords = (lacks: string) => listed(lacks, TAG_WORDS);
const CONFLICT_WORDS: Record<string, string> = /* @__PURE__ */ words({
  species: 'another species',
  form: 'another cut',
  supplier: 'another supplier',
  quantity: 'less than came',
  'older-than-catch': 'older than the catch',
  'after-arrival': 'days after it came',
  hours: 'more hours than its own days hold',
  'never-frozen': 'the lot is down as never frozen'
});
const conflictWords = (conflicts: string) => listed(conflicts, CONFLICT_WORDS);

const SENTENCES: Record<FindingCode, (seen: Seen, degrees: Degrees) => string> = /* @__PURE__ */ words({
  'source.named': (seen) => `Bought from a named supplier: ${text(seen, 'supplier')}.`,
  'source.unknown': () => 'Not cleared: nobody has said whether it comes from a commercial source.',
  'source.not-commercial': () => 'Caught outside the trade. It may not be served to guests.',
  'source.not-for-sale': (seen) =>
    `Taken in for ${seen.purpose === 'training' ? 'staff training' : 'the staff meal'}. Not for guests.`,
  'guests.warning': () =>
    'For a guest who is at risk: raw fish is advised against. Say so, and offer something cooked.',
  'record.corrected': (seen) =>
    `A figure was corrected: ${text(seen, 'was') || 'none'} became ${text(seen, 'now') || 'none'}. Both stay on record.`,
  'record.taken-back': (seen) =>
    `${seen.what === 'discarded' ? 'Binned' : 'Served'}, and taken back by a second person: “${text(seen, 'reason')}”.`,
  'guests.susceptible': (seen) =>
    `Raw food is not served to highly susceptible guests${seen.house === true ? '; this house serves them' : ''}.`,
  'identification.none': () => 'Not cleared: nobody could say what fish it is.',
  'identification.unsettled': (seen) =>
    `Nobody has settled what it is: judged as the worst of ${text(seen, 'candidates')}.`,
  'house.species-added': (seen) =>
    `${text(seen, 'species')} is a species of the house’s own: “${text(seen, 'reason')}”.`,
  'house.species-changed': (seen) =>
    `The house has its own values for ${text(seen, 'species')}: “${text(seen, 'reason')}”.`,
  'house.species-looser': (seen) =>
    `By responsibility: the house is looser than what ships for ${text(seen, 'species')} (${text(seen, 'fields')}): “${text(seen, 'reason')}”.`,
  'house.profile-floor': (seen) =>
    `This house’s copy asks for less than its rule book (${text(seen, 'fields')}). That does not act: the rule book’s own figures hold.`,
  'house.profile-stricter': (seen) => `Judged by the house’s copy of ${text(seen, 'base')}: “${text(seen, 'reason')}”.`,
  'house.profile-looser': (seen) =>
    `By responsibility: the house’s copy is looser than ${text(seen, 'base')} (${text(seen, 'fields')}): “${text(seen, 'reason')}”.`,
  'toxins.licensed': (seen) =>
    `Through the licensed channel (${text(seen, 'issuer')}, ${text(seen, 'reference')}) to a licensed house (${text(seen, 'authority')}, No. ${text(seen, 'licence')}, to ${text(seen, 'until')}${seen.limits ? `: ${text(seen, 'limits')}` : ''}). No preparation advice is given here.`,
  'parasites.roe-not-rinsed': () =>
    'Not cleared: eggs are exempt only once out of the skein and rinsed, and nobody has said so.',
  'parasites.kudoa': (seen, degrees) =>
    `Not cleared: farmed flounder may carry Kudoa; ${text(seen, 'holdHours')} h at ${degrees(seen.holdCelsius)} or colder, or the farm’s check.`,
  'parasites.kudoa-cleared': (seen) => `Checked for Kudoa, or frozen for it, by ${text(seen, 'issuer')}.`,
  'decision.cooked-only': (seen) => `Taken in for cooking only: ${text(seen, 'reason')}.`,
  'decision.sent-back': (seen) => `Sent back: ${text(seen, 'reason')}.`,
  'decision.hold-to-freeze': () => 'Not cleared: taken in to be frozen first, and no freezing record yet.',
  'toxins.licensed-only': (seen) =>
    `Puffer family: licensed hands and the licensed channel only${
      seen.channel && !seen.house ? '; no licence of this house is on file and in force' : ''
    }. No preparation advice is given here.`,
  'toxins.forbidden': (seen) => `${text(seen, 'species')} may never be sold under this rule book, whatever the paper.`,
  'toxins.poison-part': () => 'Liver, roe and innards of the puffer family: never, licensed or not.',
  'toxins.cooked-only': (seen) =>
    `${text(seen, 'species')} is not served raw here, whatever the paper. Cook it through and read its core.`,
  'toxins.lung-fluke': () => 'Lung fluke: cooked only.',
  'toxins.palytoxin': () => 'Never raw: poisonings by a poison like palytoxin are reported. Heat does not remove it.',
  'toxins.tetramine': () => 'Cut the salivary glands out: they hold a poison that heat does not remove.',
  'toxins.spirurin': () => 'Never raw whole: larvae in the gut. Gutted it is judged like any squid.',
  'toxins.norovirus': () => 'Norovirus comes with the water it grew in: only the tag and its waters speak against it.',
  'toxins.vibrio': () => 'Vibrio grows in the warm. Keep it cold from the tag on, and warn guests who are at risk.',
  'toxins.shellfish': () => 'Toxins of the water stay in shellfish whatever you do. Only open waters clear them.',
  'toxins.raw-blood': () => 'The raw blood is toxic: cooked only.',
  'toxins.purging-oil': () => 'Not cleared: purging oil. Many authorities advise against selling it at all.',
  'toxins.area-cleared': (seen) => `Its grounds are cleared by a paper from ${text(seen, 'issuer')}.`,
  'toxins.area-unknown': (seen) =>
    `Not cleared: a ciguatera species, and no paper clears its grounds${seen.area ? ` (${text(seen, 'area')})` : ''}. Neither cold, acid, salt nor heat removes the toxin.`,
  'shellfish.tagged': (seen) =>
    `Tag ${text(seen, 'reference')} from ${text(seen, 'issuer')}; kept ${text(seen, 'keepDays')} days after the last is served.`,
  'shellfish.no-tag': () => 'Not cleared: shellfish without its tag.',
  'shellfish.tag-incomplete': (seen) => `Not cleared: its tag does not say ${tagWords(text(seen, 'lacks'))}.`,
  'parasites.group-not-covered': (seen) =>
    `The freezing rule of this profile does not name this kind (${text(seen, 'group')}).`,
  'parasites.group-exempt': (seen) => `This kind: ${text(seen, 'group')}. ${safety('exempt')}`,
  'parasites.species-exempt': (seen) => `${text(seen, 'species')} is on the list of tunas. ${safety('exempt')}`,
  'parasites.farm-exempt': (seen) =>
    `Farmed on feed without parasites, by a statement from ${text(seen, 'issuer')}. ${safety('exempt')}`,
  'parasites.supplier-froze': (seen, degrees) =>
    `Frozen by the supplier (${text(seen, 'issuer')}) for ${text(seen, 'holdHours')} h or more at or below ${degrees(seen.holdCelsius)}.`,
  'parasites.frozen-here': (seen, degrees) =>
    `Frozen here for ${text(seen, 'holdHours')} h at or below ${degrees(seen.holdCelsius)}, counted by the ${text(seen, 'clock')} clock, readings taken ${seen.accuracy === 'strict' ? 'strictly (accuracy added)' : 'plainly'}.`,
  'parasites.hold-running': (seen, degrees) =>
    `In the freezer: ${hours(seen, 'heldSeconds')} proven of ${text(seen, 'holdHours')} h at or below ${degrees(seen.holdCelsius)} by the ${text(seen, 'clock')} clock${Number(seen.excursions) > 0 ? `; started anew after ${text(seen, 'excursions')} warm reading` : ''}${Number(seen.gaps) > 0 ? '; started anew after a gap in the readings' : ''}.`,
  'parasites.core-on-its-way': (seen, degrees) =>
    `In the freezer; no reading proves the core yet. Counted from the slow end of the forecast, ${text(seen, 'holdHours')} h at or below ${degrees(seen.holdCelsius)}.`,
  'parasites.solid-before': (seen, degrees) =>
    `Not cleared: it was solid before air of ${degrees(seen.solidCelsius)} came, and this cycle asks that it freezes solid in that air. Hold it by another cycle.`,
  'parasites.freezer-too-warm': (seen, degrees) =>
    `Not cleared: this freezer's air is too warm for the core ever to reach ${degrees(seen.holdCelsius)}, and no core reading proves it.`,
  'parasites.no-farm-paper': () =>
    'Not cleared: no paper says how the farm raised and fed it, and there is no freezing record.',
  'parasites.paper-contradicts': (seen) =>
    `Not cleared: the paper does not fit this lot (${conflictWords(text(seen, 'conflicts'))}). Ask the supplier.`,
  'parasites.kudoa-warning': () =>
    'Farmed flounder may carry Kudoa. Freezing for worms kills it too; fresh, ask the farm for its check.',
  'parasites.paper-expired': () => 'Not cleared: the paper had expired when the lot came in.',
  'parasites.not-frozen': () => 'Not cleared: no freezing record, and no exemption in this rule book.',
  'parasites.fluke-not-cleared': (seen) =>
    `Not cleared: flukes of ${seen.water === 'unknown' ? 'unknown' : text(seen, 'water')} water are not killed by these cycles.`,
  'temperature.not-taken': () => 'Not cleared: no core temperature was taken at the door.',
  'temperature.arrived-warm': (seen, degrees) =>
    `Not cleared: it came in at ${degrees(seen.celsius)}; the limit is ${degrees(seen.limitC, seen.limitF)}.`,
  'temperature.arrived-cold': (seen, degrees) =>
    `Came in at ${degrees(seen.celsius)}; the limit is ${degrees(seen.limitC, seen.limitF)}.`,
  'temperature.air-not-taken': () => 'Not cleared: nobody read the air round it when it came alive.',
  'temperature.arrived-alive': (seen, degrees) =>
    `Came alive, in air of ${degrees(seen.celsius)}. The rule asks that they live and that the cold does not harm them.`,
  'temperature.warmer-than-ice': (seen, degrees) =>
    `Last read at ${degrees(seen.celsius)}: warmer than ${degrees(seen.limitC)}. Cool it down.`,
  'clock.within': (seen) =>
    `Time in the warm: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} used. Cooling gives none of it back.`,
  'clock.read-by': (seen) =>
    `Read it, or the place it lies in, at least every ${text(seen, 'silentHours')} h. Unread, its time in the warm runs from then. ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} used.`,
  'clock.warm-unread': (seen) =>
    `The last word on it was warm${seen.readBy === null ? '' : ', and nobody has read it since'}: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} used if it still is. Cool it and read its core.`,
  'clock.running': (seen) =>
    `Its time in the warm is running: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} used${cause(seen)}. Put it in the cold and read its core.`,
  'clock.spent': (seen, degrees) =>
    `Its time in the warm is used up: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')}${seen.hot === true ? `, the shorter one, as some of it was above ${degrees(21.1, 70)}` : ''}${cause(seen)}.`,
  'clock.pan-read-by': () => 'For the pan the same holds, twice as long.',
  'clock.pan': (seen) =>
    `For the pan the same time counts twice over: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} used.`,
  'pack.not-asked': (_, degrees) =>
    `Nobody said how it was packed. Without air, it must stay at or below ${degrees(3.3, 38)}.`,
  'pack.indicator': () => 'Packed without air, with its time-temperature indicator.',
  'pack.cold': (seen, degrees) =>
    `Packed without air and no indicator: cleared while every reading is at or below ${degrees(seen.limitC)}.`,
  'pack.no-indicator': (seen, degrees) =>
    `Not cleared: packed without air, no time-temperature indicator, and ${seen.celsius === null ? 'no core read' : `read at ${degrees(seen.celsius)}`}. Botulinum may grow above ${degrees(seen.limitC)}.`,
  'thaw.running': (seen) => `Thawing in ${text(seen, 'place')}: nobody has said that it is through.`,
  'thaw.closed-pack': (_, degrees) =>
    `Not cleared: thawed in the cold in its closed pack without oxygen, where botulinum may grow from ${degrees(3.3, 38)}.`,
  'thaw.water-warm': (seen, degrees) =>
    `Thawed in water of ${degrees(seen.celsius)}; the limit is ${degrees(seen.limitC)}. Not for the raw routes any more.`,
  'thaw.ended-warm': (seen, degrees) =>
    `Came out of the water thaw at ${degrees(seen.celsius)}; ready-to-eat fish never goes above ${degrees(seen.limitC)}.`,
  'thaw.core-not-read': () => 'Not cleared: nobody read its core after the water thaw.',
  'histamine.no-chill-record': () =>
    'Not cleared: a histamine fish, and no paper on its chilling. The first buyer needs the boat’s record, others the supplier’s letter with the warmest temperature on the way. Neither freezing nor cooking undoes histamine.',
  'histamine.within-budget': (seen, degrees) =>
    `Warm time used: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} above ${degrees(seen.aboveC)}, ${safety('budget')}.`,
  'histamine.read-by': (seen, degrees) =>
    `Warm time used: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} above ${degrees(seen.aboveC)}. Unread, the rest runs out.`,
  'histamine.budget-running': (seen, degrees) =>
    `It lies in warm air: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} above ${degrees(seen.aboveC)} are spent, and the rest runs out while nothing says that it is cold.`,
  'histamine.budget-spent': (seen, degrees) =>
    `Its warm hours are used up: ${hours(seen, 'spentSeconds')} of ${hours(seen, 'budgetSeconds')} above ${degrees(seen.aboveC)}.`,
  'time-control.tray': (seen) =>
    `On ${text(seen, 'label')} under time control: ${text(seen, 'hours')} h from the cold, then bin it.`,
  'time-control.too-warm': (seen) =>
    `On ${text(seen, 'label')}: read above the ceiling of the ${text(seen, 'hours')} h clock. Bin it.`,
  'time-control.unread': (seen) =>
    `On ${text(seen, 'label')} on the ${text(seen, 'hours')} h clock: nobody read its warmest part, so it ends after ${text(seen, 'unreadHours')} h.`,
  'time-control.started-warm': (seen, degrees) =>
    `On ${text(seen, 'label')}: it went out at ${degrees(seen.celsius)}. Time control starts from the cold. Bin it.`,
  'date-mark.day': (seen) =>
    `Date mark: ${text(seen, 'days')} days, the day it was opened being day 1${Number(seen.frozenDays) > 0 ? `; ${text(seen, 'frozenDays')} frozen days not counted` : ''}.`,
  'date-mark.paused': () => 'Frozen: days do not count towards the date mark.',
  'freshness.raw-share': (seen, degrees) => {
    const from = basis(seen);
    return seen.alive === true
      ? `Alive, it keeps about ${text(seen, 'iceDays')} days on ice ${from}, held at an assumed ${degrees(seen.celsius)}; ${daysUsed(seen)} used.`
      : `Raw service uses the first ${Math.round(Number(seen.share) * 100)} % of about ${text(seen, 'iceDays')} days on ice ${from}; ${daysUsed(seen)} used, by every reading and an assumed ${degrees(seen.celsius)} between.`;
  },
  'freshness.eating-life': (seen) => `It keeps about ${text(seen, 'iceDays')} days on ice ${basis(seen)}.`,
  'freshness.paused': () => 'Frozen: the freshness clock stands still.',
  'freshness.no-catch-date': () => 'Not cleared: the day of catch or harvest is not known.',
  'handling.in-acid': () => 'It has been in acid: no longer a raw piece, nor a cured one.',
  'acid.still-raw': () => safety('acid'),
  'acid.in-its-bath': (seen) =>
    `In its bath: ${LOOK_WORDS[seen.wanted as SetPoint] ?? ''} by about ${moment(seen, 'likelyAt')}, ${moment(seen, 'highAt')} at the slow end${moment(seen, 'pastAt') === '' ? '' : `; past its best from about ${moment(seen, 'pastAt')}`}.`,
  'acid.runs-out': () => 'In its bath: the acid runs out before it is as wanted. Cut one to see how far it is.',
  'acid.spent-liquid': (seen) =>
    `The liquid its fish lay in: it carries that fish’s verdict, and is used within ${text(seen, 'hours')} h.`,
  'handling.cured': () => 'It has been in a cure: no longer a raw piece.',
  'handling.cure-running': (seen) =>
    `In a ${CURE_NAMES[seen.method as School]?.noun ?? 'cure'} for ${text(seen, 'hours')} h; opens when somebody takes it out.`,
  'cure.still-raw': () => safety('salt'),
  'cure.closed-pack': (seen, degrees) =>
    `In a pack without air: botulinum may grow from ${degrees(3.3, 38)} where the water-phase salt is under ${text(seen, 'needed')} % (least here, by the low forecast, ${text(seen, 'wps')} %). Opened within ${text(seen, 'limit')} h, or not served. Whether that relief covers fish that was never frozen is for your authority.`,
  'cure.closed-pack-late': (seen) =>
    `In a pack without air for ${text(seen, 'hours')} h, with ${text(seen, 'wps')} % water-phase salt at the least by the low forecast for its end; ${text(seen, 'needed')} % by then, or an approved plan, was needed after ${text(seen, 'limit')} h.`,
  'cure.closed-pack-salted': (seen) =>
    `In a pack without air, ${text(seen, 'wps')} % water-phase salt at the least by the low forecast (${text(seen, 'needed')} % wanted). That is a forecast, not a laboratory: the plan asks for one.`,
  'cure.listeria': (seen, degrees) =>
    seen.grows === true
      ? `Were Listeria in it, ten times as many after about ${text(seen, 'days')} d at ${degrees(seen.celsius)} and water activity ${text(seen, 'waterActivity')}. An estimate, never a permission.`
      : `By this estimate Listeria would not grow at water activity ${text(seen, 'waterActivity')} and ${degrees(seen.celsius)}. It does not die either.`,
  'cure.plan': () => 'Curing may need a variance and a HACCP plan where you are. Ask before you sell it.',
  'handling.cure-ended': () => 'Taken out of its cure. Cured is still a raw route for parasites.',
  'freshness.aged': (seen) =>
    `On the ageing rack: the house’s longest days and its daily look stand for the share of about ${text(seen, 'iceDays')} days on ice.`,
  'ageing.whole': (seen) =>
    `Hung whole to age: not yet ready to eat; day 1 of its date mark is ${seen.early === true ? 'the day it was hung, as this house has it' : 'the day it is portioned'}.`,
  'ageing.opened': () => 'Racked as a fillet: its date mark has run since the knife opened it.',
  'ageing.not-prepared': (seen) =>
    `Hung without being ${text(seen, 'left')}: the rack does not stand for its days on ice.`,
  'ageing.within-maximum': (seen) => `Off the rack within the house’s ${text(seen, 'days')} days.`,
  'ageing.histamine-days': (seen, degrees) =>
    `A histamine kind hangs ${text(seen, 'days')} days at most, at or below ${degrees(seen.limitC)}, without a test on file.`,
  'ageing.listeria': (seen, degrees) =>
    Number(seen.tenfoldDays) > 0
      ? `Were Listeria on it, ten times as many after about ${text(seen, 'tenfoldDays')} days at ${degrees(seen.celsius)}; this house hangs up to ${text(seen, 'days')}. An estimate, never a permission.`
      : `By this estimate Listeria would not grow at ${degrees(seen.celsius)}. It does not die either.`,
  'ageing.house-maximum': (seen) =>
    `The house ages a ${seen.kind === 'whole' ? 'whole fish' : 'fillet'} for ${text(seen, 'days')} days at most.`,
  'ageing.after': (seen) => `What came off the rack is used within ${text(seen, 'after')} days, as this house has it.`,
  'ageing.rules-looser': (seen) =>
    `By responsibility: this house ages more loosely than what ships (${text(seen, 'fields')}): “${text(seen, 'reason')}”.`,
  'ageing.cabinet-warm': (seen, degrees) =>
    `${text(seen, 'place')} stood above ${degrees(seen.limitC)} for more than ${text(seen, 'hours')} h in all while it hung there.`,
  'ageing.cabinet-unread': (seen) =>
    `Not cleared: nobody read ${text(seen, 'place') || 'its cabinet'} for ${text(seen, 'hours')} h while it hung there.`,
  'ageing.read-on': (seen) =>
    `${text(seen, 'place') || 'Its cabinet'} must be read again: ${text(seen, 'hours')} h after the last reading, fish hanging there is not cleared.`,
  'ageing.histamine-unread': (seen) =>
    `Not cleared: a histamine species, and the log of ${text(seen, 'place') || 'its cabinet'} is silent for ${text(seen, 'hours')} h. Neither cold nor heat takes formed histamine away.`,
  'ageing.histamine': (seen) =>
    `A histamine species on the rack: every warm minute in ${text(seen, 'place') || 'its cabinet'} counts against its budget.`,
  'ageing.stopped': (seen) => `Off the rack: ${lookWords(text(seen, 'field'), text(seen, 'answer'))}.`,
  'ageing.closed-pack': (seen) =>
    `Packed without air: unfrozen fish is not aged in a closed pack. Opened within ${text(seen, 'limit')} h, or not served.`,
  'handling.served': () => 'All of it has been served.',
  'handling.discarded': () => 'Binned.',
  'handling.divided': () => 'All of it has become other pieces.',
  'handling.returned': () => 'Sent back with its lot.',
  'handling.parent-discarded': () => 'The piece it came from was binned.'
});

const CHANGES: Record<ChangeCode, string> = /* @__PURE__ */ words({
  'area-document': 'A paper that clears the harvest area, or a feed statement for farmed fish.',
  'authority-word': 'Only the word of your authority.',
  'catch-date': 'The day of catch or harvest.',
  'chill-record': 'The boat’s chilling record, or the supplier’s letter with the warmest temperature on the way.',
  'read-the-cabinet': 'A log of the cabinet for those hours.',
  'read-it-cold': 'A core reading at or below the limit, now.',
  'read-the-core': 'Its core, read now.',
  'take-air-temperature': 'The air round it on arrival.',
  'ask-the-supplier': 'A paper that fits this lot, from the supplier.',
  'discard-it': 'Bin it; only your authority can say otherwise.',
  'end-the-thaw': 'Say that it is thawed: core and weight.',
  'cook-or-authority': 'Cook it, or ask your authority.',
  'core-reading-or-colder-freezer': 'A core reading at or below the threshold, or a colder freezer.',
  'freeze-or-statement': 'A freezing cycle here with its readings, or the supplier’s freezing statement.',
  'farm-paper-or-freeze': 'The farm’s feed statement, or a freezing cycle with its readings.',
  'another-cycle': 'Hold it by another cycle of this rule book; or thaw it, and freeze it here from soft.',
  'hold-and-read': 'Keep it frozen, and take a reading when the clock has run.',
  'name-the-source': 'Say whether the source is commercial.',
  'send-back-or-answer-for': 'Send it back; only your authority or the receiving record can change this.',
  'shellfish-tag': 'The whole tag: dealer’s number, day, waters, how much.',
  'take-core-temperature': 'The core temperature on arrival.',
  identify: 'Tell it by its marks, or ask the seller for a paper that names it.',
  'rinse-or-freeze': 'Say that it was rinsed out of the skein, or freeze it.',
  'kudoa-check-or-freeze': 'The farm’s check for Kudoa, or a freezing that kills it.',
  'end-the-cure': 'Take it out of the cure and record it.'
});

/** The sentence of a reason. An unknown code is said as a code, never swallowed. */
export const sentence = /* @__PURE__ */ said(function sentence(
  reason: Pick<Reason, 'code' | 'seen'>,
  units: Pick<UnitPreferences, 'temperature'> = speech().units
): string {
  return SENTENCES[reason.code as FindingCode]?.(reason.seen, DEGREES[units.temperature]) ?? reason.code;
});

/** What would change a reason; null where nothing would. */
export const wouldChange = /* @__PURE__ */ said(function wouldChange(
  reason: Pick<Reason, 'wouldChange'>
): string | null {
  return reason.wouldChange === null ? null : (CHANGES[reason.wouldChange as ChangeCode] ?? reason.wouldChange);
});
