/** Forty rows of a morning's note; seven of them broken, each in its own way. */
export const BROKEN = new Set([3, 9, 14, 20, 26, 31, 38]);
const WRONG: Record<number, string> = {
  3: 'kraken;12,5;9.3.2026;1,2;wild',
  9: 'white tuna;12,5;8.3.2026;1,2;wild',
  14: 'turbot;;8.3.2026;1,2;wild',
  20: 'turbot;12,5;8.3.2027;1,2;wild',
  26: 'turbot;12,5;31.2.2026;1,2;wild',
  31: 'turbot;12,5;8.3.2026;99;wild',
  38: 'turbot;12,5;8.3.2026;1,2;tame'
};
export const NOTE = [
  'Fisch;Gewicht kg;Caught;Temp;Origin',
  ...Array.from({ length: 40 }, (_, index) => WRONG[index] ?? `halibut;${index + 1},5;8.3.2026;1,2;wild`)
].join('\r\n');
