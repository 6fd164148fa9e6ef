import type { FindingCode } from '../../../codes/finding.ts';
import { ALL_ROUTES, papers, reason, type Hazard, type JudgeContext } from '../../../rules/context.ts';
import type { Cited } from '../../../codes/profile.ts';
import { businessDayEnd } from '../../../measure/day.ts';
import { licenceFor } from '../../../codes/documents.ts';
import { FAO_AREAS } from '../../../fish/fao-areas.ts';
import type { SpeciesHazard } from '../../../fish/species.ts';
import { RAW_ROUTES, type Effect, type Reason, type Route } from '../../../codes/window.ts';

const GUIDE = 'FDA Fish and Fishery Products Hazards and Controls Guidance';
const HOUSE: Pick<Cited, 'from' | 'check'> = { from: 'house', check: true };
/** Liver and roe hold most of the poison; no licence speaks of them here. */
const POISON_PARTS = /liver|ovar|roe|milt|viscera|intestin/i;

const baseOf = ({ profile }: JudgeContext): string => profile.house?.base ?? profile.id;

/** What is never on the market under one profile, whatever the paper. */
function forbidden(context: JudgeContext): Reason[] {
  const { species, profile } = context;
  const base = baseOf(context);
  const isForbidden =
    ((base === 'eu' || base === 'uk') && species.hazards.includes('eu-forbidden')) ||
    (base === 'jp' && species.hazards.includes('jp-forbidden'));
  return isForbidden
    ? [
        reason(context, 'toxins', 'toxins.forbidden', { kind: 'never' }, profile.poisons, {
          routes: ALL_ROUTES,
          seen: { species: species.name }
        })
      ]
    : [];
}

/**
 * Puffer and its kin: a house with its licence in force and a lot through the licensed channel, both; its liver and roe never.
 * With the licence's last day it is never served again until one is filed that holds.
 */
function tetrodotoxin(context: JudgeContext): Reason[] {
  const { species, lot, profile, house, chain, at } = context;
  if (!species.hazards.includes('tetrodotoxin')) return [];
  const poisonous = chain.find(
    ({ made }) => made.form === 'roe' || made.use === 'roe' || POISON_PARTS.test(`${made.name} ${made.part}`)
  );
  if (poisonous) {
    return [
      reason(context, 'toxins', 'toxins.poison-part', { kind: 'never' }, profile.poisons, {
        routes: ALL_ROUTES,
        evidence: [poisonous.made.seq]
      })
    ];
  }
  const channel = papers(context, 'licence').valid[0];
  const licence = licenceFor(house, 'puffer', lot.species, at);
  if (!channel || !licence) {
    return [
      reason(context, 'toxins', 'toxins.licensed-only', { kind: 'never' }, profile.poisons, {
        routes: ALL_ROUTES,
        seen: { channel: channel !== undefined, house: licence !== null }
      })
    ];
  }
  const until = businessDayEnd(licence.expiresOn, house);
  return [
    reason(context, 'toxins', 'toxins.licensed', { kind: 'closes', at: until }, profile.poisons, {
      routes: ALL_ROUTES,
      evidence: [channel.seq, licence.seq],
      seen: {
        licence: licence.number,
        authority: licence.authority,
        until: licence.expiresOn,
        limits: licence.limits,
        issuer: channel.issuer,
        reference: channel.reference
      }
    })
  ];
}

/** Reef fish: farmed on pellets away from reefs, a paper that clears the grounds, or a named catch area outside the reef list. */
function ciguatera(context: JudgeContext): Reason[] {
  const { species, lot, profile } = context;
  if (!species.hazards.includes('ciguatera')) return [];
  const farmPaper =
    lot.received.source === 'farmed'
      ? papers(context, 'feed-statement').valid.find((paper) => paper.formulatedFeed)
      : undefined;
  // A named supplier's paper on a named area outside the list of reef waters says enough; an unknown area never does.
  const waters = FAO_AREAS.find(({ code }) => code === lot.received.faoArea);
  const isOffReefs = waters?.reefToxin === 'not-reported';
  const paper =
    farmPaper ??
    papers(context, 'area-document').valid.find(
      (each) => each.areaCleared || (isOffReefs && each.issuer.trim() !== '')
    );
  return [
    paper
      ? reason(context, 'toxins', 'toxins.area-cleared', { kind: 'pass' }, profile.ciguatera, {
          routes: ALL_ROUTES,
          evidence: [paper.seq],
          seen: { issuer: paper.issuer }
        })
      : reason(context, 'toxins', 'toxins.area-unknown', { kind: 'missing' }, profile.ciguatera, {
          routes: ALL_ROUTES,
          evidence: [lot.received.seq],
          seen: { area: lot.received.area },
          wouldChange: 'area-document'
        })
  ];
}

export interface Rule {
  readonly hazard: SpeciesHazard;
  readonly code: FindingCode;
  readonly effect: Effect['kind'] & ('never' | 'pass');
  readonly routes: readonly Route[];
  readonly cited: Cited;
}

/** Hazards that say one thing of a whole species: what shuts the raw routes for good, and what is only told. */
export const SPECIES_RULES: readonly Rule[] = [
  {
    hazard: 'cooked-only',
    code: 'toxins.cooked-only',
    effect: 'never',
    routes: RAW_ROUTES,
    cited: {
      rule: 'house decision',
      citation: 'Crab, clawed lobster and crayfish are no raw item here under any paper: a decision of this product',
      from: 'house'
    }
  },
  {
    hazard: 'lung-fluke',
    code: 'toxins.lung-fluke',
    effect: 'never',
    routes: RAW_ROUTES,
    cited: {
      rule: 'lung fluke',
      citation: `Paragonimus in freshwater crab and crayfish: ${GUIDE}, ch. 5 (table of parasites); cooked only, everywhere`,
      ...HOUSE
    }
  },
  {
    hazard: 'palytoxin',
    code: 'toxins.palytoxin',
    effect: 'never',
    routes: RAW_ROUTES,
    cited: {
      rule: 'palytoxin-like',
      citation: `Poisonings by parrotfish with a palytoxin-like poison (MHLW notices; ${GUIDE}, ch. 6): never raw here`,
      ...HOUSE
    }
  },
  {
    hazard: 'tetramine',
    code: 'toxins.tetramine',
    effect: 'pass',
    routes: ['raw', 'cured', 'acid', 'seared', 'cooked'],
    cited: { rule: 'tetramine', citation: `${GUIDE}, ch. 6: tetramine in the salivary glands of whelks`, ...HOUSE }
  },
  {
    hazard: 'spirurin',
    code: 'toxins.spirurin',
    effect: 'never',
    routes: RAW_ROUTES,
    cited: {
      rule: 'larvae in the gut',
      citation: 'MHLW notice on firefly squid: -30 °C for 4 days or more, a core of -40 °C for 40 min, or gutted',
      ...HOUSE
    }
  },
  {
    hazard: 'norovirus',
    code: 'toxins.norovirus',
    effect: 'pass',
    routes: RAW_ROUTES,
    cited: { rule: 'Hazards guide ch. 4', citation: `${GUIDE}, ch. 4: viruses from the harvest area`, check: true }
  },
  {
    hazard: 'vibrio',
    code: 'toxins.vibrio',
    effect: 'pass',
    routes: RAW_ROUTES,
    cited: {
      rule: 'Hazards guide ch. 4',
      citation: `${GUIDE}, ch. 4 and App. 4: Vibrio vulnificus grows from 8 °C, V. parahaemolyticus from 5 °C`
    }
  },
  {
    hazard: 'shellfish-toxins',
    code: 'toxins.shellfish',
    effect: 'pass',
    routes: ALL_ROUTES,
    cited: {
      rule: 'Hazards guide ch. 6',
      citation: `${GUIDE}, ch. 6: toxins of the waters; neither cold nor heat removes them`
    }
  }
];

/** Scallop muscle alone filters nothing: what is said of whole shellfish is said of it in the shell. */
const speaksOf = ({ hazard }: Rule, { species, lot }: JudgeContext): boolean =>
  species.hazards.includes(hazard) &&
  !(species.group === 'scallop' && !['live', 'shell-on'].includes(lot.received.form)) &&
  !(hazard === 'spirurin' && lot.received.form === 'gutted');

/** Poisons of the fish itself, and of its grounds. Neither cold, acid, salt nor heat takes them away. */
export const toxins: Hazard = (context) => {
  const { species, profile } = context;
  const out: Reason[] = [...forbidden(context), ...tetrodotoxin(context)];
  if (species.hazards.includes('raw-blood')) {
    out.push(reason(context, 'toxins', 'toxins.raw-blood', { kind: 'never' }, profile.poisons, { routes: RAW_ROUTES }));
  }
  if (species.hazards.includes('gempylotoxin')) {
    const isJapan = baseOf(context) === 'jp';
    out.push(
      reason(
        context,
        'toxins',
        'toxins.purging-oil',
        isJapan ? { kind: 'never' } : { kind: 'missing' },
        profile.poisons,
        {
          routes: ALL_ROUTES,
          wouldChange: isJapan ? null : 'authority-word'
        }
      )
    );
  }
  out.push(...ciguatera(context));
  for (const rule of SPECIES_RULES) {
    if (!speaksOf(rule, context)) continue;
    out.push(
      reason(context, 'toxins', rule.code, { kind: rule.effect }, rule.cited, {
        routes: rule.routes,
        seen: { species: species.name }
      })
    );
  }
  return out;
};
