import { said, words } from './speech.ts';
import type { Difference } from '../core/codes/ambiguity.ts';
import type { CatalogueEntry, SpeciesGroup, SpeciesHazard } from '../core/fish/kinds.ts';

/** Words for what the catalogue keeps as codes. */
const HANDLING: Record<string, string> = /* @__PURE__ */ words({
  'no-running-water': 'keep off running water: wipe, or salt water and dry at once',
  'thin-bones': 'fine bones through the flesh: cut across them finely or take them with tweezers',
  'pin-bones': 'draw the pin bones along their slant',
  grit: 'grit: purge, rinse in salt water, look again',
  'blood-line': 'take the dark blood line out for raw use',
  sinew: 'a sinew strip: cut it out or slice across it',
  'fin-edge': 'keep the fin-edge muscle apart: it is firm and prized',
  'scale-first': 'scale before opening',
  'gut-at-once': 'gut at once: larvae and enzymes leave the belly for the flesh',
  'skin-tough': 'tough skin: take it off, or scald it (a look: it clears nothing)',
  spines: 'spines: gloves, and cut them off first',
  'keep-dry': 'keep dry: water bursts it',
  'live-until-use': 'alive until the knife; do not serve what does not answer',
  slime: 'slimy skin: salt, scrape and wipe before it touches the board',
  'soft-flesh': 'soft flesh: cold knife, one draw',
  candle: 'hold it to the light: take out every larva you see; most are missed, and freezing is the control',
  scutes: 'hard shields on the side: cut them off from the tail',
  membrane: 'take off both membranes: larvae lie under them; most are missed, and freezing is the control',
  'head-off-early': 'take the head off early: it darkens and softens the flesh',
  'rinse-from-skein': 'out of the skein, rinsed in salt water',
  'roe-and-liver': 'liver and roe keep apart, and cold',
  'blood-toxic': 'its raw blood is poisonous: gloves, eyes covered, cook through',
  'purging-oil': 'its oil purges: warn or do not sell',
  'licensed-only': 'licensed hands only',
  'salivary-glands': 'cut the salivary glands out: they hold tetramine',
  'soak-salt-out': 'soak the salt out in changes of cold water, in the cold',
  'read-the-label': 'read the maker’s label: additives and allergens'
});
const STYLES: Record<string, string> = /* @__PURE__ */ words({
  'straight-slice': 'straight slices',
  'thin-oblique': 'thin oblique slices',
  dice: 'dice',
  'fine-strips': 'fine strips, scored',
  'seared-edge': 'seared edge, raw inside',
  'salt-and-vinegar': 'salt, then vinegar',
  'cover-cure': 'cover cure',
  'kelp-press': 'pressed between kelp',
  'acid-dressed': 'acid-dressed',
  minced: 'minced by knife',
  tartare: 'chopped and dressed',
  'whole-raw': 'whole and raw',
  'boiled-rippled': 'boiled, then sliced',
  'paste-marinade': 'paste marinade',
  'cured-roe': 'salted roe',
  'cook-only': 'cooked',
  licensed: 'licensed kitchens only',
  'as-bought': 'as bought'
});
const SOURCES: Record<string, string> = /* @__PURE__ */ words({
  trade: 'general trade knowledge (check with your authority)',
  huss: 'days on ice after Huss (1995), FAO Fisheries Technical Paper 348',
  'fda-species': 'hazards after the FDA Fish and Fishery Products Hazards and Controls Guidance, chapter 3',
  'eu-histamine': 'histamine families: Reg. (EC) 2073/2005 Annex I',
  'eu-poisonous': 'poisonous kinds: Reg. (EC) 853/2004 Annex III Sec. VIII Ch. V.E',
  house: 'the house'
});
const DIFFERENCES: Record<Difference, string> = /* @__PURE__ */ words({
  histamine: 'histamine family: the boat’s chilling record is asked for',
  ciguatera: 'reef toxin: the harvest area decides, even cooked',
  tetrodotoxin: 'puffer poison: licensed channel only',
  gempylotoxin: 'purging oil: warn or refuse',
  'raw-blood': 'raw blood is poisonous: cooked only',
  'cooked-only': 'cooked only here, whatever the paper',
  'lung-fluke': 'lung fluke: cooked only',
  palytoxin: 'a poison like palytoxin is reported: never raw',
  tetramine: 'poison in the salivary glands: take them out',
  spirurin: 'larvae in the gut: gutted, or frozen longer and colder',
  kudoa: 'farmed, it may carry Kudoa',
  norovirus: 'norovirus: waters and tag decide',
  vibrio: 'Vibrio: cold from the water on, and a warning to guests',
  'shellfish-toxins': 'shellfish toxins: neither cold nor heat removes them',
  'eu-forbidden': 'never on the market under EU rules',
  'jp-forbidden': 'not for sale in Japan (check)',
  fluke: 'flukes: some rule books do not let freezing clear them',
  'list-exempt': 'on the list of tunas exempt from parasite freezing',
  kind: 'another kind of animal: other rules and allergens',
  'ice-days': 'keeps the shortest'
});

export const handlingWord = /* @__PURE__ */ said((code: string): string => HANDLING[code] ?? code.replaceAll('-', ' '));
export const styleWord = /* @__PURE__ */ said((code: string): string => STYLES[code] ?? code.replaceAll('-', ' '));
export const sourceWord = /* @__PURE__ */ said((code: string): string => SOURCES[code] ?? code);
export const differenceWord = /* @__PURE__ */ said((code: Difference): string => DIFFERENCES[code]);
export const HANDLING_WITH_WORDS = Object.keys(HANDLING);
export const STYLES_WITH_WORDS = Object.keys(STYLES);

export const GROUP_WORDS: Record<SpeciesGroup, string> = /* @__PURE__ */ words({
  finfish: 'fish',
  mollusc: 'bivalve',
  gastropod: 'sea snail',
  scallop: 'scallop',
  cephalopod: 'squid, octopus or cuttlefish',
  crustacean: 'crustacean',
  urchin: 'sea urchin',
  roe: 'roe',
  surimi: 'surimi'
});
export const WATER_WORDS: Record<CatalogueEntry['water'], string> = /* @__PURE__ */ words({
  sea: 'the sea',
  fresh: 'fresh water',
  anadromous: 'the sea, and up rivers to spawn'
});
export const FLESH_WORDS: Record<CatalogueEntry['texture'] | CatalogueEntry['fat'], string> = /* @__PURE__ */ words({
  firm: 'firm',
  medium: 'neither firm nor soft',
  soft: 'soft',
  lean: 'lean',
  mid: 'some fat',
  rich: 'rich'
});
export const PARASITE_WORDS: Record<CatalogueEntry['parasitesWhenWild'][number], string> = /* @__PURE__ */ words({
  nematode: 'round worms',
  tapeworm: 'tapeworms',
  fluke: 'flukes'
});
/** What a species is known for, in a word or three. */
export const HAZARD_NAMES: Record<SpeciesHazard, string> = /* @__PURE__ */ words({
  histamine: 'histamine',
  ciguatera: 'reef toxin',
  tetrodotoxin: 'puffer poison',
  gempylotoxin: 'purging oil',
  'raw-blood': 'poisonous raw blood',
  'cooked-only': 'cooked only',
  'lung-fluke': 'lung fluke',
  palytoxin: 'a poison like palytoxin',
  tetramine: 'poison in the salivary glands',
  spirurin: 'larvae in the gut',
  kudoa: 'Kudoa',
  norovirus: 'norovirus',
  vibrio: 'Vibrio',
  'shellfish-toxins': 'shellfish toxins',
  'eu-forbidden': 'forbidden under EU rules',
  'jp-forbidden': 'not for sale in Japan'
});
