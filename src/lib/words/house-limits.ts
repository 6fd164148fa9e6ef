import { said, words } from './speech.ts';
/** What a house may set otherwise in its copy of a rule profile, in words. */
const LIMIT_WORDS: Record<string, string> = /* @__PURE__ */ words({
  receiveCold: 'Take in chilled fish at or below',
  receiveFrozen: 'Take in frozen fish at or below',
  coldHold: 'Hold cold at or below',
  freezeHoldFactor: 'Freezing time, times the rule’s',
  freezeColder: 'Freezing temperature, warmer (+) or colder (−) than the rule’s',
  strictAccuracy: 'Add the sensor’s accuracy to every reading',
  coreClock: 'Count the freezing from the core',
  speciesList: 'Keep the list of exempt tunas',
  farmExemption: 'Exempt farmed fish on feed, by its paper',
  dateMarkDays: 'Date mark',
  histamineHours: 'Warm hours of histamine fish',
  warmHours: 'Time in the warm, added up for its whole life',
  silenceHours: 'Longest silence that is believed in the cold',
  trayHours: 'Time on the tray, first clock',
  tagKeepDays: 'Keep shellfish tags'
});
export const houseLimitWord = /* @__PURE__ */ said((id: string): string => LIMIT_WORDS[id] ?? id);
export const LIMITS_WITH_WORDS = Object.keys(LIMIT_WORDS);
