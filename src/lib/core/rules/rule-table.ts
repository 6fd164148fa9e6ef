import { HISTAMINE_AGEING } from '../bench/age/parameters.ts';
import { AGEING_RULES } from '../activity/age/lists.ts';
import { COLD_THAW_LIMIT, WATER_THAW_LIMIT } from '../bench/freeze/thaw.ts';
import { ROP_HOURS } from '../bench/cure/guards.ts';
import { PACK_LIMIT } from '../activity/receive/hazards/arrival.ts';
import { PACK } from '../activity/cure/hazard.ts';
import { SPECIES_RULES } from '../activity/receive/hazards/toxins.ts';
import { THAW_RULES } from '../activity/thaw/hazard.ts';
import type { Cited, RuleProfile, ScaleLimit } from '../codes/profile.ts';

/** One rule as it is judged by: what it is about, its figure, where it stands. */
export interface RuleRow extends Cited {
  readonly what: string;
  /** With its unit, in both scales where it is a temperature. */
  readonly figure: string;
}

const degrees = ({ c, f }: ScaleLimit): string => `${c} °C (${f} °F)`;
const hours = (seconds: number): string => `${seconds / 3600} h`;
const cited = ({ rule, citation, check, from }: Cited): Cited => ({ rule, citation, check, from });
const row = (what: string, figure: string, of: Cited): RuleRow => ({ what, figure, ...cited(of) });

/** Every rule of a profile, made from its data. */
export function profileRows(profile: RuleProfile): RuleRow[] {
  const { parasites, histamine, warmClock } = profile;
  return [
    row('Freezing for parasites: kinds it speaks of', parasites.appliesTo.join(', '), parasites.rule),
    ...parasites.cycles.map((cycle) =>
      row(
        'Freezing cycle',
        `${degrees(cycle.hold)} or below for ${hours(cycle.holdSeconds)}${cycle.solidAt ? `, solid at ${degrees(cycle.solidAt)} first` : ''}`,
        cycle
      )
    ),
    row('Clock of a freezing', `counted from the ${parasites.clock}`, parasites.rule),
    ...(parasites.notClearingRule
      ? [row('Not cleared by these cycles', parasites.notClearing.join(', '), parasites.notClearingRule)]
      : []),
    ...parasites.exemptGroups.map(({ group, rule, needs }) =>
      row('Exempt kind', needs ? `${group}, out of the skein and rinsed` : group, rule)
    ),
    ...(parasites.exemptSpecies
      ? [row('Exempt species', parasites.exemptSpecies.scientific.join(', '), parasites.exemptSpecies.rule)]
      : []),
    ...(parasites.aquaculture
      ? [
          row(
            'Exempt from a farm',
            `${parasites.aquaculture.systems.join(', ')}; the paper says: ${parasites.aquaculture.needs.join(', ')}`,
            parasites.aquaculture.rule
          )
        ]
      : []),
    ...(parasites.kudoa
      ? [
          row(
            `Kudoa in farmed ${parasites.kudoa.genus}`,
            `${degrees(parasites.kudoa.hold)} for ${hours(parasites.kudoa.holdSeconds)}`,
            parasites.kudoa
          )
        ]
      : []),
    row('Taken in chilled, core', `${degrees(profile.receiveCold)} or below`, profile.receiveCold),
    row(
      'Taken in alive, air',
      profile.receiveLive.limit ? `${degrees(profile.receiveLive.limit)} or below` : 'alive, and read',
      profile.receiveLive
    ),
    row('Taken in frozen, core', `${degrees(profile.receiveFrozen)} or below`, profile.receiveFrozen),
    row('Cold holding', `${degrees(profile.coldHold)} or below`, profile.coldHold),
    ...(profile.coldWarn ? [row('Warned of above', degrees(profile.coldWarn), profile.coldWarn)] : []),
    row(
      'Time in the warm, added up for life',
      `${hours(warmClock.seconds)} above ${degrees(warmClock.above)}; ${hours(warmClock.secondsIfHot)} where any of it was above ${degrees(warmClock.hot)}`,
      warmClock
    ),
    row('Longest silence that is believed in the cold', hours(warmClock.silenceSeconds), warmClock),
    row(
      'Histamine kinds, time in the warm',
      `${hours(histamine.seconds)} above ${degrees(histamine.above)}, ${hours(histamine.secondsIfHot)} with any above ${degrees(histamine.hot)}; frozen before: ${hours(histamine.secondsIfFrozen)} and ${hours(histamine.secondsIfFrozenAndHot)}`,
      histamine
    ),
    ...profile.timeControls.map((control) =>
      row(
        `Tray, ${control.id} clock`,
        `${hours(control.seconds)} from ${degrees(control.start)} or below${control.startHot ? `, or from ${degrees(control.startHot)} or above` : ''}${control.ceiling ? `; never above ${degrees(control.ceiling)}` : ''}${control.unreadSeconds ? `; unread it ends at ${hours(control.unreadSeconds)}` : ''}`,
        control
      )
    ),
    row(
      'Date mark',
      `${profile.dateMark.days} days, day 1 included; closes ${profile.dateMark.closes === 'all' ? 'every route' : 'the raw routes'}`,
      profile.dateMark
    ),
    row('Shellfish tag kept', `${profile.shellfishTag.keepDays} days after the last is served`, profile.shellfishTag),
    row('Freezing records kept', `${profile.freezeRecords.keepDays} days`, profile.freezeRecords),
    row('Commercial source', 'asked of every lot', profile.commercialSource),
    row('Reef waters (ciguatera)', 'a paper that clears them, or a named area off the reefs', profile.ciguatera),
    row('Poisonous kinds', 'never, or by licence', profile.poisons),
    row('Highly susceptible guests', 'never raw where the house serves them; elsewhere a warning', profile.susceptible)
  ];
}

/** Rules that hold under every profile. */
export const commonRows = (): RuleRow[] => [
  row('Chilled in a pack without air and no indicator', `${degrees(PACK_LIMIT)} or below`, PACK_LIMIT),
  row('In a closed pack at the bench', `opened within ${ROP_HOURS} h, or by an approved plan`, PACK),
  row('Thaw in the cold', `${degrees(COLD_THAW_LIMIT)} or below`, THAW_RULES.cold),
  row(
    'Thaw under running water',
    `water at ${degrees(WATER_THAW_LIMIT)} or below; for the raw routes the fish never above ${degrees(COLD_THAW_LIMIT)}`,
    THAW_RULES.water
  ),
  row('Closed pack in a cold thaw', 'leaves its pack first', THAW_RULES.pack),
  row(
    'Ageing cabinet',
    `at or below ${AGEING_RULES.limitCelsius} °C; ${AGEING_RULES.wholeDays} days whole, ${AGEING_RULES.filletDays} as fillet, ${AGEING_RULES.afterDays} after it`,
    {
      rule: 'house rule',
      citation: 'The house’s own longest days; it may set others, and answers for looser ones',
      from: 'house',
      check: true
    }
  ),
  row(
    'Histamine kinds on the rack without a test on file',
    `${HISTAMINE_AGEING.days} days at or below ${HISTAMINE_AGEING.limitCelsius} °C`,
    {
      rule: 'house rule',
      citation: 'After FDA Fish and Fishery Products Hazards and Controls Guidance, ch. 7',
      from: 'house',
      check: true
    }
  ),
  ...SPECIES_RULES.map(({ hazard, effect, routes, cited: of }) =>
    row(
      `Hazard: ${hazard}`,
      effect === 'never' ? `never ${routes.length === 5 ? 'at all' : 'raw'}` : 'told on the verdict',
      of
    )
  )
];
