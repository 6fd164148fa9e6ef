import type { RuleProfile } from '../profile.ts';

/** Public advice and standards of Japan: advice on anisakiasis (Ministry of Health, Labour and Welfare); Specifications and Standards for Foods (Notification No. 370 of 1959). */
const advice = 'MHLW public advice on anisakiasis';
const standards = 'Specifications and Standards for Foods (Notification No. 370 of 1959)';
const hour = 3600;

export const JP: RuleProfile = {
  id: 'jp',
  name: 'Japan, public advice',
  edition: 'MHLW advice on anisakiasis; Notification No. 370 of 1959',
  version: 'jp 2026.2',
  parasites: {
    rule: { rule: 'freezing', citation: `${advice}: freeze at -20 °C for 24 h or longer, or heat` },
    appliesTo: ['finfish', 'cephalopod', 'roe'],
    cycles: [
      {
        id: 'jp-24h',
        hold: { c: -20, f: -4 },
        holdSeconds: 24 * hour,
        rule: 'freezing',
        citation: `${advice}: -20 °C or below for 24 h or longer`
      }
    ],
    clock: 'core',
    notClearing: ['fluke'],
    notClearingRule: {
      rule: 'freshwater fish',
      citation: `${advice} speaks of sea fish; flukes and gnathostomes of fresh water are the house's caution`,
      check: true,
      from: 'house'
    },
    exemptGroups: [],
    exemptSpecies: null,
    aquaculture: null,
    kudoa: {
      genus: 'Paralichthys',
      hold: { c: -15, f: 5 },
      holdSeconds: 4 * hour,
      rule: 'Kudoa septempunctata',
      citation:
        'MHLW notice on Kudoa septempunctata in olive flounder: -15 to -20 °C for 4 h or more, or control at the farm',
      check: true
    },
    accuracy: 'plain',
    loggedGapSeconds: 2 * hour,
    handGapShare: 0.25
  },
  receiveCold: {
    c: 10,
    f: 50,
    rule: 'raw fish and shellfish',
    citation: `${standards}: kept at 10 °C or below`,
    check: true
  },
  receiveLive: {
    limit: { c: 10, f: 50 },
    rule: 'raw shellfish',
    citation: `${standards}: oysters for raw use kept at 10 °C or below`,
    check: true
  },
  receiveFrozen: { c: -15, f: 5, rule: 'frozen fish', citation: `${standards}: kept at -15 °C or below`, check: true },
  coldHold: {
    c: 10,
    f: 50,
    rule: 'raw fish and shellfish',
    citation: `${standards}: kept at 10 °C or below`,
    check: true
  },
  coldWarn: {
    c: 5,
    f: 41,
    rule: 'catering manual',
    citation: 'MHLW mass-catering hygiene manual: fish and shellfish kept at 5 °C or below',
    check: true
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
    days: 5,
    closes: 'raw',
    rule: 'use-by date',
    citation: "Food Labeling Standards: the use-by date is the maker's own study; 5 days is the house's figure",
    check: true,
    from: 'house'
  },
  timeControls: [
    {
      id: '4h',
      seconds: 2 * hour,
      start: { c: 10, f: 50 },
      rule: 'house limit',
      citation:
        "Mass-catering hygiene manual: raw food is eaten within 2 h of leaving the cold; the clock is the house's",
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
      'No time limit is written; the time limit is from the FDA Fish and Fishery Products Hazards and Controls Guidance, chapter 7',
    check: true,
    from: 'house'
  },
  shellfishTag: {
    keepDays: 90,
    rule: 'oysters for raw use',
    citation: `${standards}: harvest area shown on oysters for raw use; 90 days is the house's figure`,
    check: true,
    from: 'house'
  },
  commercialSource: {
    rule: 'Food Sanitation Act',
    citation: 'Food Sanitation Act: registered or notified business',
    check: true
  },
  ciguatera: { rule: 'Art. 6', citation: 'Food Sanitation Act Art. 6 and MHLW notices on ciguatera', check: true },
  poisons: {
    rule: 'Art. 6',
    citation: 'Food Sanitation Act Art. 6; puffer: MHLW notice of 1983 and prefectural licence',
    check: true
  },
  susceptible: {
    rule: 'house caution',
    citation: "No rule is written for guests at risk; the caution is the house's",
    check: true,
    from: 'house'
  },
  freezeRecords: {
    keepDays: 90,
    rule: 'records',
    citation: "HACCP-based records: the time is the house's figure",
    check: true
  }
};
