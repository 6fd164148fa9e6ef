import type { RuleProfile } from '../profile.ts';

/** FDA Food Code 2022 (US Public Health Service), paragraphs as named; Hazards guide: FDA Fish and Fishery Products Hazards and Controls Guidance, 4th ed. */
const code = 'FDA Food Code 2022';
const guide = 'FDA Fish and Fishery Products Hazards and Controls Guidance';
const hour = 3600;

export const US_FC: RuleProfile = {
  id: 'us-fc',
  name: 'US Food Code',
  edition: 'FDA Food Code 2022',
  version: 'us-fc 2026.2',
  parasites: {
    rule: { rule: '3-402.11', citation: `${code} 3-402.11(A)` },
    appliesTo: ['finfish', 'cephalopod', 'crustacean', 'urchin', 'mollusc', 'gastropod', 'scallop', 'roe'],
    cycles: [
      {
        id: 'us-168h',
        hold: { c: -20, f: -4 },
        holdSeconds: 168 * hour,
        rule: '3-402.11(A)(1)',
        citation: `${code} 3-402.11(A)(1)`
      },
      {
        id: 'us-15h',
        hold: { c: -35, f: -31 },
        holdSeconds: 15 * hour,
        solidAt: { c: -35, f: -31 },
        rule: '3-402.11(A)(2)',
        citation: `${code} 3-402.11(A)(2)`
      },
      {
        id: 'us-24h',
        hold: { c: -20, f: -4 },
        holdSeconds: 24 * hour,
        solidAt: { c: -35, f: -31 },
        rule: '3-402.11(A)(3)',
        citation: `${code} 3-402.11(A)(3)`
      }
    ],
    clock: 'air',
    notClearing: [],
    exemptGroups: [
      {
        group: 'mollusc',
        // 1-201.10 names oysters, clams, mussels and scallops: abalone, whelk and other snails are not among them.
        rule: { rule: '3-402.11(B)(1)', citation: `${code} 3-402.11(B)(1) and 1-201.10 (molluscan shellfish)` }
      },
      { group: 'scallop', rule: { rule: '3-402.11(B)(2)', citation: `${code} 3-402.11(B)(2)` } },
      { group: 'roe', needs: 'roeRinsed', rule: { rule: '3-402.11(B)(5)', citation: `${code} 3-402.11(B)(5)` } }
    ],
    exemptSpecies: {
      scientific: [
        'Thunnus alalunga',
        'Thunnus albacares',
        'Thunnus atlanticus',
        'Thunnus maccoyii',
        'Thunnus obesus',
        'Thunnus thynnus'
      ],
      rule: { rule: '3-402.11(B)(3)', citation: `${code} 3-402.11(B)(3)` }
    },
    aquaculture: {
      rule: { rule: '3-402.11(B)(4)', citation: `${code} 3-402.11(B)(4) and 3-402.12` },
      systems: ['net-pen-open-water', 'land-based', 'pond'],
      // 3-402.12(D): raised and fed as (B)(4) says, both on the paper.
      needs: ['formulatedFeed', 'raised']
    },
    accuracy: 'plain',
    loggedGapSeconds: 2 * hour,
    handGapShare: 0.25
  },
  receiveCold: { c: 5, f: 41, rule: '3-202.11', citation: `${code} 3-202.11(A)` },
  receiveLive: {
    limit: { c: 7.2, f: 45 },
    rule: '3-202.11(B)',
    citation: `${code} 3-202.11(B) and 3-501.14(C): air at or below 7.2 °C (45 °F), then 5 °C within 4 h`
  },
  receiveFrozen: {
    c: -18,
    f: 0,
    rule: '3-202.11(E)',
    citation: `${code} 3-202.11(E): received frozen; the figure is the house's`,
    check: true,
    from: 'house'
  },
  coldHold: { c: 5, f: 41, rule: '3-501.16', citation: `${code} 3-501.16(A)(2)` },
  warmClock: {
    above: { c: 5, f: 41 },
    hot: { c: 21.1, f: 70 },
    seconds: 4 * hour,
    secondsIfHot: 2 * hour,
    silenceSeconds: 24 * hour,
    rule: "the house's clock",
    citation:
      "All time above 5 °C added up, 4 h, or 2 h where any of it was above 21.1 °C: the house's own, after FDA Fish and Fishery Products Hazards and Controls Guidance ch. 12 and FDA Food Code 2022, 3-501.19",
    check: true,
    from: 'house'
  },
  dateMark: { days: 7, closes: 'all', rule: '3-501.17', citation: `${code} 3-501.17` },
  timeControls: [
    {
      id: '4h',
      seconds: 4 * hour,
      start: { c: 5, f: 41 },
      startHot: { c: 57, f: 135 },
      rule: '3-501.19(B)',
      citation: `${code} 3-501.19(B)`
    },
    {
      id: '6h',
      seconds: 6 * hour,
      start: { c: 5, f: 41 },
      ceiling: { c: 21, f: 70 },
      unreadSeconds: 4 * hour,
      rule: '3-501.19(C)',
      citation: `${code} 3-501.19(C)`
    }
  ],
  histamine: {
    above: { c: 4.4, f: 40 },
    hot: { c: 21.1, f: 70 },
    seconds: 8 * hour,
    secondsIfHot: 4 * hour,
    secondsIfFrozen: 24 * hour,
    secondsIfFrozenAndHot: 12 * hour,
    rule: 'Hazards guide ch. 7',
    citation: `${guide}, chapter 7`
  },
  shellfishTag: { keepDays: 90, rule: '3-203.12', citation: `${code} 3-202.18 and 3-203.12` },
  commercialSource: { rule: '3-201.14', citation: `${code} 3-201.14` },
  ciguatera: { rule: 'Hazards guide ch. 6', citation: `${guide}, chapter 6` },
  poisons: { rule: 'Hazards guide ch. 6', citation: `${guide}, chapter 6 (natural toxins)` },
  susceptible: { rule: '3-801.11', citation: `${code} 3-801.11` },
  freezeRecords: { keepDays: 90, rule: '3-402.12', citation: `${code} 3-402.12` }
};
