/**
 * The heaviest of a kind on record, kg: what weighs more is not one fish. Greatest published weights as FishBase (Froese and Pauly,
 * fishbase.org) lists them, of a group its heaviest member, rounded up. They only raise a question at the door; taken down without the
 * tables at hand: check.
 */
const HEAVIEST: Readonly<Record<string, number>> = {
  yellowfin: 200,
  bigeye: 210,
  'atlantic-bluefin': 684,
  'southern-bluefin': 260,
  'pacific-bluefin': 450,
  albacore: 61,
  skipjack: 35,
  'atlantic-bonito': 11,
  'atlantic-salmon': 47,
  'king-salmon': 62,
  sockeye: 8,
  'arctic-char': 15,
  rainbow: 26,
  amberjack: 97,
  trevally: 80,
  'horse-mackerel': 4,
  'atlantic-mackerel': 3.5,
  spanish: 70,
  'pacific-saury': 0.3,
  sardine: 0.5,
  anchovy: 0.1,
  herring: 1.1,
  'coho-salmon': 16,
  'brown-trout': 50,
  swordfish: 650,
  marlin: 820,
  bluefish: 15,
  cobia: 68,
  halfbeak: 0.5,
  'gizzard-shad': 0.5,
  'pink-salmon': 7,
  'chum-salmon': 16,
  wahoo: 83,
  blackfin: 23,
  longtail: 36,
  'chub-mackerel': 3,
  'sea-bream': 20,
  snapper: 57,
  grouper: 455,
  'european-sea-bass': 12,
  'striped-bass': 57,
  'lake-or-brackish-bass': 20,
  flounder: 33,
  turbot: 25,
  halibut: 363,
  sole: 7,
  cod: 96,
  pollock: 32,
  monkfish: 58,
  'john-dory': 8,
  gurnard: 6,
  sablefish: 57,
  'mahi-mahi': 40,
  barracuda: 50,
  surgeonfish: 10,
  escolar: 64,
  puffer: 10,
  eel: 25,
  rockfish: 15,
  barramundi: 60,
  'patagonian-toothfish': 200,
  conger: 110,
  parrotfish: 75,
  lionfish: 2,
  hogfish: 11,
  moray: 70,
  'ocean-sunfish': 2300,
  porcupinefish: 3,
  toby: 0.2,
  carp: 300,
  whitefish: 20,
  'japanese-sea-bass': 9,
  'great-barracuda': 50,
  wolffish: 24,
  'salt-cod': 96
};

/**
 * The heaviest one fish of a kind can be taken for.
 *
 * @param species an id of the catalogue, or a house's own
 * @returns g; null where nobody knows
 * @example
 * heaviestOf('sardine') // => 500
 * @example
 * heaviestOf('oyster') // => null
 */
export function heaviestOf(species: string): number | null {
  const kilograms = HEAVIEST[species];
  return kilograms === undefined ? null : Math.round(kilograms * 1000);
}
