/** The places on the rail, in the order of the work, each with its key. A place not yet built is not listed. */
export const PLACES = [
  { path: '/', name: 'Now', key: '1' },
  { path: '/receive', name: 'Receive', key: '2' },
  { path: '/break', name: 'Break down', key: '3' },
  { path: '/freeze', name: 'Freeze', key: '4' },
  { path: '/cure', name: 'Cure', key: '5' },
  { path: '/acid', name: 'Acid', key: '6' },
  { path: '/age', name: 'Age', key: '7' },
  { path: '/slice', name: 'Slice', key: '8' },
  { path: '/rice', name: 'Rice', key: 'r' },
  { path: '/serve', name: 'Serve', key: '9' },
  { path: '/ledger', name: 'Ledger', key: '0' },
  { path: '/house', name: 'House', key: 'h' }
] as const;
