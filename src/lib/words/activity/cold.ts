import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const coldWords = /* @__PURE__ */ words({
  entries: {
    'place.set': 'Place set',
    'sensor.set': 'Sensor set',
    'device.keyed': 'Logger given a key',
    'device.revoked': 'Logger’s key revoked',
    'place.read': 'Place read',
    'excursion.closed': 'Alarm dealt with',
    'readings.quarantined': 'Readings not believed',
    'log.imported': 'Logger file taken in',
    'cold.read': 'Cold reading',
    'readings.stored': 'Sensor log kept'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
