/** One act of a made-up house, as it is sent to the API. */
export interface Example {
  readonly operation: string;
  readonly input: Readonly<Record<string, unknown>>;
  /** Hours on the house's clock since the act before; fewer than none where the clock is set back. */
  readonly later?: number;
}
export const act = (operation: string, input: Example['input'], later?: number): Example => ({
  operation,
  input,
  later
});

/** A lot of char as it is received, and the paper that goes with it. */
export const CHAR = {
  species: 'arctic-char',
  form: 'fillet',
  source: 'farmed',
  farmSystem: 'land-based',
  water: 'fresh',
  commercial: 'yes',
  supplier: 'Skarnes Tank Farm',
  caughtOn: '2026-03-08',
  mass: '2 kg',
  thickness: '28 mm',
  core: '1.5 C'
};
export const FEED = {
  type: 'feed-statement',
  issuer: 'Skarnes Tank Farm',
  formulatedFeed: true,
  raised: true,
  fromEmbryos: true,
  noHazardVerified: true
};
/** A side under salt and sugar for a day. */
export const COVER = {
  method: 'cover',
  thickness: '26 mm',
  thin: '9 mm',
  faces: 1,
  celsius: '3 C',
  salt: '6 %',
  sugar: '3 %',
  hours: '24 h',
  rest: '12 h',
  target: '1 %'
};
export const char = (more: Example['input'] = {}) => act('receive-lot', { ...CHAR, ...more });
export const feed = (lot: string) => act('attach-evidence', { lot, ...FEED });
export const landed = (more: Example['input']) =>
  act('receive-lot', {
    form: 'fillet',
    source: 'wild',
    water: 'sea',
    commercial: 'yes',
    supplier: 'Kelda Bay Boats',
    mass: '900 g',
    core: '1 C',
    ...more
  });
export const halibut = () => landed({ species: 'halibut', thickness: '30 mm' });
