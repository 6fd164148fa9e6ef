/** Money as a person says it: cents in the currency of the lot. */
export const money = (cents: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency: /^[A-Z]{3}$/.test(currency) ? currency : 'EUR'
  }).format(cents / 100);
/** What a kilogram costs, from cents a gram. */
export const perKilo = (centsPerGram: number | null, currency: string): string =>
  centsPerGram === null ? 'not known' : `${money(centsPerGram * 1000, currency)} / kg`;
