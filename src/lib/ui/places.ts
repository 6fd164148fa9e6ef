/** The places on the rail, in the order of the work, each with its key; what it is called stands with the words of the shell. A place not yet built is not listed. */
export const PLACES = [
  { path: '/', key: '1' },
  { path: '/receive', key: '2' },
  { path: '/break', key: '3' },
  { path: '/freeze', key: '4' },
  { path: '/cure', key: '5' },
  { path: '/acid', key: '6' },
  { path: '/age', key: '7' },
  { path: '/slice', key: '8' },
  { path: '/rice', key: 'r' },
  { path: '/serve', key: '9' },
  { path: '/ledger', key: '0' },
  { path: '/house', key: 'h' }
] as const;

/** Where a piece lies while it is worked on: the one the eye is on goes along. */
export const BENCHES: ReadonlySet<string> = new Set([
  '/break',
  '/freeze',
  '/cure',
  '/acid',
  '/age',
  '/slice',
  '/serve'
]);
