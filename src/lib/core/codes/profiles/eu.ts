import type { RuleProfile } from '../profile.ts';

/** Regulation (EC) No 853/2004, Annex III, Section VIII, as amended by (EU) No 1276/2011, and companions as named. */
const hygiene = 'Reg. (EC) 853/2004 Annex III Sec. VIII';
const hour = 3600;

export const EU: RuleProfile = {
  id: 'eu',
  name: 'EU hygiene rules',
  edition: 'Reg. (EC) 853/2004 as amended by (EU) 1276/2011',
  version: 'eu 2026.2',
  parasites: {
    rule: {
      rule: 'Ch. III.D',
      citation: `${hygiene} Ch. III.D point 1; not required by point 3(a) heated, 3(b) kept frozen long enough, 3(c) grounds without the hazard that the authority authorises, 3(d) farmed`
    },
    appliesTo: ['finfish', 'cephalopod', 'roe'],
    cycles: [
      {
        id: 'eu-24h',
        hold: { c: -20, f: -4 },
        holdSeconds: 24 * hour,
        rule: 'Ch. III.D 2(a)',
        citation: `${hygiene} Ch. III.D point 2(a)`
      },
      {
        id: 'eu-15h',
        hold: { c: -35, f: -31 },
        holdSeconds: 15 * hour,
        rule: 'Ch. III.D 2(b)',
        citation: `${hygiene} Ch. III.D point 2(b)`
      }
    ],
    clock: 'core',
    notClearing: ['fluke'],
    notClearingRule: {
      rule: 'Ch. III.D 1',
      citation: `${hygiene} Ch. III.D point 1 (parasites other than trematodes)`
    },
    exemptGroups: [],
    exemptSpecies: null,
    aquaculture: {
      rule: { rule: 'Ch. III.D 3(d)', citation: `${hygiene} Ch. III.D point 3(d)` },
      systems: ['net-pen-open-water', 'land-based', 'pond', 'other'],
      needs: ['formulatedFeed', 'fromEmbryos', 'noHazardVerified']
    },
    accuracy: 'plain',
    loggedGapSeconds: 2 * hour,
    handGapShare: 0.25
  },
  receiveCold: {
    c: 5,
    f: 41,
    rule: 'Ch. III.A.1',
    citation: `${hygiene} Ch. III.A.1 and Ch. VII point 1: a temperature approaching that of melting ice; 5 °C is where the house closes`,
    check: true,
    from: 'house'
  },
  receiveLive: {
    limit: null,
    rule: 'Sec. VII Ch. V and VIII',
    citation:
      'Reg. (EC) 853/2004 Annex III Sec. VII Ch. V point 1 and Ch. VIII: alive, at a temperature that does not harm them',
    check: true
  },
  receiveFrozen: { c: -18, f: -0.4, rule: 'Ch. VII', citation: `${hygiene} Ch. VII point 2` },
  coldHold: {
    c: 5,
    f: 41,
    rule: 'Ch. III.A.1',
    citation: `${hygiene} Ch. III.A.1 and Ch. VII point 1: a temperature approaching that of melting ice; 5 °C is where the house closes`,
    check: true,
    from: 'house'
  },
  coldWarn: {
    c: 2,
    f: 35.6,
    rule: 'Ch. III.A.1',
    citation: `${hygiene} Ch. III.A.1: a temperature approaching that of melting ice; taken as 0 to 2 °C`,
    check: true,
    from: 'house'
  },
  warmClock: {
    above: { c: 5, f: 41 },
    hot: { c: 21.1, f: 70 },
    seconds: 4 * hour,
    secondsIfHot: 2 * hour,
    silenceSeconds: 72 * hour,
    rule: "the house's clock",
    citation:
      "All time above 5 °C added up, 4 h, or 2 h where any of it was above 21.1 °C: the house's own, after FDA Fish and Fishery Products Hazards and Controls Guidance ch. 12 and FDA Food Code 2022, 3-501.19",
    check: true,
    from: 'house'
  },
  dateMark: {
    days: 7,
    closes: 'raw',
    rule: 'Reg. 2073/2005 Art. 3',
    citation: "Reg. (EC) 2073/2005 Art. 3: shelf life is the operator's own study; 7 days is the house's figure",
    check: true,
    from: 'house'
  },
  timeControls: [
    {
      id: '4h',
      seconds: 4 * hour,
      start: { c: 5, f: 41 },
      rule: 'house limit',
      citation: "Reg. (EC) 852/2004 Annex II Ch. IX 5: limited periods out of the cold; 4 h is the house's figure",
      check: true,
      from: 'house'
    }
  ],
  histamine: {
    above: { c: 4.4, f: 40 },
    hot: { c: 21.1, f: 70 },
    seconds: 8 * hour,
    secondsIfHot: 4 * hour,
    secondsIfFrozen: 24 * hour,
    secondsIfFrozenAndHot: 12 * hour,
    rule: 'house limit',
    citation:
      'Reg. (EC) 2073/2005 Annex I 1.26 sets the laboratory limit; the time limit is from the FDA Fish and Fishery Products Hazards and Controls Guidance, chapter 7',
    check: true,
    from: 'house'
  },
  shellfishTag: {
    keepDays: 60,
    rule: 'Sec. VII Ch. VII',
    citation:
      'Reg. (EC) 853/2004 Annex III Sec. VII Ch. I (registration document) and Ch. VII point 2 (the label is kept 60 days after splitting up)',
    check: true
  },
  commercialSource: {
    rule: 'Art. 6',
    citation: 'Reg. (EC) 178/2002 Art. 18 and Reg. (EC) 852/2004 Art. 6',
    check: true
  },
  ciguatera: { rule: 'Ch. V.E 2', citation: `${hygiene} Ch. V.E point 2` },
  poisons: { rule: 'Ch. V.E 1', citation: `${hygiene} Ch. V.E point 1` },
  susceptible: {
    rule: 'house caution',
    citation: "Reg. (EC) 178/2002 Art. 14(4)(c), the particular sensitivity of consumers; the limit is the house's",
    check: true,
    from: 'house'
  },
  freezeRecords: { keepDays: 90, rule: 'Ch. III.D 4', citation: `${hygiene} Ch. III.D point 4`, check: true }
};
