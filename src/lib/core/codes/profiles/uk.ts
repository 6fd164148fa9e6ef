import type { Cited, RuleProfile, ScaleLimit } from '../profile.ts';
import { EU } from './eu.ts';

const hour = 3600;
const ENGLAND = 'Food Safety and Hygiene (England) Regulations 2013, Sch. 4';

/** The same text, as it stands in the law of the United Kingdom since it left: what was not changed was assimilated. */
const assimilated = (text: string) => text.replace(/Reg\. \((EC|EU)\)/g, 'assimilated Reg. ($1)');
const carriedOver = <Kind extends Cited>(cited: Kind): Kind => ({ ...cited, citation: assimilated(cited.citation) });

/** Chilled at or below this in England; Wales and Northern Ireland alike, Scotland asks for cold without a figure (check). */
const CHILLED: ScaleLimit & Cited = {
  c: 8,
  f: 46.4,
  rule: 'Sch. 4 para. 2',
  citation: `${ENGLAND} para. 2: food that supports pathogens is kept at or below 8 °C (England; check elsewhere)`,
  check: true
};

/** Food law of the United Kingdom as assimilated, with the figures of the Food Standards Agency for England. */
export const UK: RuleProfile = {
  ...EU,
  id: 'uk',
  name: 'UK food hygiene rules',
  edition: 'Assimilated Reg. (EC) 853/2004, FSA guidance, England’s temperature rules',
  version: 'uk 2026.1',
  parasites: {
    ...EU.parasites,
    rule: carriedOver(EU.parasites.rule),
    cycles: EU.parasites.cycles.map((cycle) => ({ ...carriedOver(cycle), id: cycle.id.replace('eu-', 'uk-') })),
    notClearingRule: carriedOver(EU.parasites.notClearingRule!),
    aquaculture: { ...EU.parasites.aquaculture!, rule: carriedOver(EU.parasites.aquaculture!.rule) }
  },
  receiveCold: CHILLED,
  receiveLive: carriedOver(EU.receiveLive),
  receiveFrozen: carriedOver(EU.receiveFrozen),
  coldHold: CHILLED,
  coldWarn: {
    c: 5,
    f: 41,
    rule: 'FSA guidance',
    citation: 'Food Standards Agency, chilling guidance: set the fridge at 5 °C or below',
    check: true,
    from: 'house'
  },
  warmClock: {
    ...EU.warmClock,
    above: { c: 8, f: 46.4 },
    citation:
      "All time above 8 °C added up, 4 h, or 2 h where any of it was above 21.1 °C: the house's own, stricter than England's once up to 4 h (Sch. 4 para. 4)"
  },
  dateMark: { ...EU.dateMark, citation: assimilated(EU.dateMark.citation) },
  timeControls: [
    {
      id: '4h',
      seconds: 4 * hour,
      start: { c: 8, f: 46.4 },
      rule: 'Sch. 4 para. 4',
      citation: `${ENGLAND} para. 4: on display or for service above 8 °C once, for up to 4 h; then chilled again or thrown away. Here it is thrown away`,
      check: true
    }
  ],
  histamine: { ...EU.histamine, citation: assimilated(EU.histamine.citation) },
  shellfishTag: carriedOver(EU.shellfishTag),
  commercialSource: carriedOver(EU.commercialSource),
  ciguatera: carriedOver(EU.ciguatera),
  poisons: carriedOver(EU.poisons),
  susceptible: carriedOver(EU.susceptible),
  freezeRecords: carriedOver(EU.freezeRecords)
};
