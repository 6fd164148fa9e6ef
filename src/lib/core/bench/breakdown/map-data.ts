import type { CutMap, CutPart, MapId } from './map-types.ts';

/**
 * Parts and orders of work of each cut map. Shares of the weight on the board are typical ranges of the trade, wide on
 * purpose; they serve to notice a slip of the scale and to forecast, never to judge. Check against your own boards.
 */
const prime = (id: string, low: number, high: number, use: CutPart['use'], form: CutPart['form']): CutPart => ({
  id,
  share: [low, high],
  use,
  grade: 'prime',
  form,
  waste: null
});
const by = (
  id: string,
  low: number,
  high: number,
  use: CutPart['use'],
  waste: CutPart['waste'] = null,
  form: CutPart['form'] = 'portion'
): CutPart => ({ id, share: [low, high], use, grade: 'by-product', form, waste });
const waste = (id: string, low: number, high: number, what: NonNullable<CutPart['waste']>): CutPart => ({
  id,
  share: [low, high],
  use: '',
  grade: 'by-product',
  form: 'portion',
  waste: what
});

const PIN = { id: 'pin-bones', slot: 'pin-bones', ways: ['pin-drawn', 'pin-cut-out'] };
const SKIN = { id: 'skin', slot: 'skin', ways: ['skin-last', 'skin-first'] };
const BELLY = { id: 'belly', slot: 'belly', ways: ['belly-straight', 'belly-angled'] };
const ROUND_START = ['chill', 'scale', 'gills-out', 'open-belly', 'blood-line-out', 'rinse-dry', 'head-off-slant'];
const ROUND_END = ['ribs', 'pin-bones', 'belly', 'skin', 'dark-off', 'square', 'spoon', 'weigh-waste'];

export const CUT_MAPS: Readonly<Record<MapId, CutMap>> = {
  round: {
    id: 'round',
    forms: ['whole', 'gutted'],
    parts: [
      prime('fillet-first', 0.12, 0.3, 'raw', 'fillet'),
      prime('fillet-second', 0.12, 0.3, 'raw', 'fillet'),
      prime('belly', 0.02, 0.12, 'sear', 'portion'),
      by('cheeks', 0.002, 0.03, 'cook'),
      by('collars', 0.02, 0.09, 'cook'),
      by('head', 0.1, 0.32, 'stock', 'head'),
      by('frame', 0.06, 0.18, 'stock', 'frame'),
      by('spoon-meat', 0.004, 0.04, 'mince'),
      by('skin', 0.02, 0.08, 'crisp', 'skin'),
      by('liver-roe', 0.005, 0.12, 'roe', 'viscera', 'roe'),
      waste('viscera', 0.04, 0.18, 'viscera'),
      waste('gills', 0.01, 0.05, 'gills'),
      waste('scales', 0.005, 0.04, 'scales'),
      waste('fins', 0.005, 0.05, 'fins')
    ],
    schools: [
      { id: 'both-backs', steps: [...ROUND_START, 'both-back-cuts', 'lift-first', 'lift-second', ...ROUND_END] },
      { id: 'through', steps: [...ROUND_START, 'back-strokes', 'through-belly', 'turn-over', ...ROUND_END] },
      { id: 'tail-to-head', steps: [...ROUND_START, 'guide-cut', 'run-tail-head', 'turn-over', ...ROUND_END] },
      {
        id: 'ungutted',
        steps: ['chill', 'scale', 'rinse-dry', 'both-back-cuts', 'lift-over-gut', 'turn-over', ...ROUND_END]
      }
    ],
    choices: [PIN, SKIN, BELLY]
  },
  'four-loins': {
    id: 'four-loins',
    forms: ['whole', 'gutted'],
    parts: [
      prime('back-first', 0.08, 0.22, 'raw', 'loin'),
      prime('back-second', 0.08, 0.22, 'raw', 'loin'),
      prime('belly-first', 0.05, 0.18, 'raw', 'loin'),
      prime('belly-second', 0.05, 0.18, 'raw', 'loin'),
      by('cheeks', 0.002, 0.02, 'cook'),
      by('collars', 0.02, 0.08, 'cook'),
      by('dark-muscle', 0.02, 0.1, 'cook', 'blood-line'),
      by('spoon-meat', 0.005, 0.05, 'mince'),
      by('tail', 0.01, 0.07, 'cook', 'trim'),
      by('head', 0.08, 0.25, 'cook', 'head'),
      by('frame', 0.04, 0.14, 'stock', 'frame'),
      waste('viscera', 0.03, 0.14, 'viscera'),
      waste('gills', 0.01, 0.04, 'gills'),
      waste('skin', 0.015, 0.07, 'skin'),
      waste('fins', 0.005, 0.04, 'fins')
    ],
    schools: [
      {
        id: 'lateral-line',
        steps: [
          'chill',
          'gills-out',
          'open-belly',
          'rinse-dry',
          'head-off-slant',
          'skin-strip-line',
          'line-cut',
          'lift-back-loin',
          'lift-belly-loin',
          'turn-over',
          'skin',
          'dark-off',
          'sinew-off',
          'spoon',
          'square',
          'weigh-waste'
        ]
      },
      {
        id: 'both-backs',
        steps: [
          'chill',
          'gills-out',
          'open-belly',
          'rinse-dry',
          'head-off-slant',
          'both-back-cuts',
          'lift-back-loin',
          'lift-belly-loin',
          'turn-over',
          'skin',
          'dark-off',
          'sinew-off',
          'spoon',
          'square',
          'weigh-waste'
        ]
      }
    ],
    choices: [{ ...SKIN, ways: ['skin-shaved', 'skin-last'] }]
  },
  side: {
    id: 'side',
    forms: ['fillet'],
    parts: [
      by('skin', 0.04, 0.12, 'crisp', 'skin'),
      by('pin-strip', 0.005, 0.06, 'stock', 'bones'),
      by('dark-muscle', 0.01, 0.08, 'mince', 'blood-line'),
      by('trim', 0.01, 0.15, 'mince', 'trim')
    ],
    schools: [
      { id: 'divide-then-skin', steps: ['chill', 'pin-bones', 'divide', 'skin', 'dark-off', 'weigh-waste'] },
      { id: 'skin-then-divide', steps: ['chill', 'pin-bones', 'skin', 'dark-off', 'divide', 'weigh-waste'] }
    ],
    choices: [PIN, BELLY, { ...SKIN, ways: ['skin-last', 'skin-first', 'skin-on'] }]
  },
  flatfish: {
    id: 'flatfish',
    forms: ['whole', 'gutted'],
    parts: [
      prime('eye-back', 0.05, 0.17, 'raw', 'fillet'),
      prime('eye-belly', 0.04, 0.15, 'raw', 'fillet'),
      prime('blind-back', 0.04, 0.15, 'raw', 'fillet'),
      prime('blind-belly', 0.03, 0.14, 'raw', 'fillet'),
      prime('fin-edge', 0.01, 0.08, 'raw', 'portion'),
      by('cheeks', 0.002, 0.02, 'cook'),
      by('head', 0.1, 0.28, 'stock', 'head'),
      by('frame', 0.1, 0.28, 'stock', 'frame'),
      by('skin', 0.03, 0.1, 'crisp', 'skin'),
      by('liver-roe', 0.005, 0.12, 'roe', 'viscera', 'roe'),
      waste('viscera', 0.02, 0.1, 'viscera'),
      waste('gills', 0.005, 0.04, 'gills'),
      waste('fins', 0.01, 0.08, 'fins'),
      waste('slime-scales', 0.002, 0.03, 'scales')
    ],
    schools: [
      {
        id: 'four-fillets',
        steps: [
          'chill',
          'slime-off',
          'gills-out',
          'open-belly',
          'rinse-dry',
          'head-off-slant',
          'spine-cut',
          'fin-line-cut',
          'lift-four',
          'turn-over',
          'skin',
          'edge-apart',
          'spoon',
          'weigh-waste'
        ]
      },
      {
        id: 'double-fillets',
        steps: [
          'chill',
          'slime-off',
          'gills-out',
          'open-belly',
          'rinse-dry',
          'head-off-slant',
          'edge-to-edge',
          'turn-over',
          'skin',
          'split-on-line',
          'edge-apart',
          'weigh-waste'
        ]
      }
    ],
    choices: [{ ...SKIN, ways: ['skin-last', 'skin-shaved'] }]
  },
  'small-oily': {
    id: 'small-oily',
    forms: ['whole', 'gutted'],
    parts: [
      prime('fillets', 0.3, 0.65, 'cure', 'fillet'),
      by('backbones', 0.05, 0.18, 'crisp', 'bones'),
      by('liver-roe', 0.005, 0.15, 'roe', 'viscera', 'roe'),
      by('belly-trim', 0.01, 0.1, 'mince', 'trim'),
      waste('heads', 0.1, 0.3, 'head'),
      waste('viscera', 0.04, 0.2, 'viscera'),
      waste('scales', 0.002, 0.04, 'scales'),
      waste('skin', 0.01, 0.07, 'skin')
    ],
    schools: [
      {
        id: 'two-fillets',
        steps: [
          'chill',
          'scale',
          'head-off',
          'open-belly',
          'rinse-brine',
          'both-back-cuts',
          'lift-first',
          'lift-second',
          'ribs',
          'pin-bones',
          'peel-after-cure',
          'weigh-waste'
        ]
      },
      {
        id: 'opened-flat',
        steps: [
          'chill',
          'scale',
          'head-off',
          'open-belly',
          'rinse-brine',
          'thumb-open',
          'bone-lift',
          'ribs',
          'peel-after-cure',
          'weigh-waste'
        ]
      }
    ],
    choices: [PIN]
  },
  cephalopod: {
    id: 'cephalopod',
    forms: ['whole', 'gutted'],
    parts: [
      prime('mantle', 0.3, 0.65, 'raw', 'block'),
      prime('arms', 0.1, 0.6, 'cook', 'portion'),
      by('fins', 0.03, 0.16, 'sear'),
      by('tentacles', 0.01, 0.1, 'cook'),
      by('ink', 0.001, 0.02, 'other', 'other'),
      by('trim', 0.01, 0.12, 'mince', 'trim'),
      waste('head-eyes', 0.02, 0.12, 'head'),
      waste('quill-beak', 0.005, 0.06, 'bones'),
      waste('viscera', 0.05, 0.25, 'viscera'),
      waste('membranes', 0.02, 0.12, 'skin')
    ],
    schools: [
      {
        id: 'pull-then-open',
        steps: [
          'chill',
          'pull-head',
          'ink-apart',
          'quill-out',
          'open-mantle',
          'membranes-off',
          'candle-mantle',
          'square',
          'weigh-waste'
        ]
      },
      {
        id: 'open-then-lift',
        steps: [
          'chill',
          'open-mantle',
          'lift-viscera',
          'ink-apart',
          'membranes-off',
          'candle-mantle',
          'square',
          'weigh-waste'
        ]
      }
    ],
    choices: []
  },
  bivalve: {
    id: 'bivalve',
    forms: ['live', 'shell-on', 'shucked', 'whole'],
    parts: [
      prime('meat', 0.05, 0.5, 'raw', 'shucked'),
      prime('adductor', 0.05, 0.35, 'raw', 'shucked'),
      prime('siphon', 0.05, 0.3, 'raw', 'shucked'),
      by('mantle', 0.02, 0.2, 'cook', 'trim', 'shucked'),
      by('coral', 0.01, 0.15, 'roe', 'other', 'shucked'),
      by('liquor', 0.02, 0.25, 'stock', 'liquor'),
      waste('shell', 0.3, 0.9, 'shell'),
      waste('gut', 0.01, 0.12, 'viscera')
    ],
    schools: [
      {
        id: 'hinge',
        steps: ['keep-tag', 'tap', 'scrub', 'hinge-in', 'cut-adductor', 'smell-each', 'grit-look', 'weigh-waste']
      },
      {
        id: 'side',
        steps: ['keep-tag', 'tap', 'scrub', 'side-in', 'cut-adductor', 'smell-each', 'grit-look', 'weigh-waste']
      }
    ],
    choices: []
  },
  crustacean: {
    id: 'crustacean',
    forms: ['live', 'whole', 'shell-on'],
    parts: [
      prime('tail', 0.2, 0.6, 'raw', 'portion'),
      prime('leg-meat', 0.05, 0.3, 'cook', 'portion'),
      by('head', 0.15, 0.5, 'crisp', 'head'),
      by('shell', 0.08, 0.5, 'stock', 'shell'),
      by('roe', 0.005, 0.1, 'roe', 'other', 'roe'),
      waste('vein', 0.001, 0.02, 'viscera'),
      waste('gills', 0.01, 0.08, 'gills'),
      waste('liquor', 0.01, 0.15, 'liquor')
    ],
    schools: [
      {
        id: 'twist-and-peel',
        steps: ['chill', 'head-off', 'peel-rings', 'vein-draw', 'salt-ice-rinse', 'weigh-waste']
      },
      { id: 'scald-and-pick', steps: ['chill', 'scald', 'ice', 'pick-legs', 'pick-body', 'shell-look', 'weigh-waste'] }
    ],
    choices: []
  },
  fillet: {
    id: 'fillet',
    forms: ['fillet', 'loin', 'block', 'portion', 'roe', 'shucked'],
    parts: [
      prime('block-front', 0.15, 0.6, 'raw', 'block'),
      prime('block-tail', 0.08, 0.45, 'raw', 'block'),
      prime('belly', 0.03, 0.25, 'sear', 'block'),
      by('pin-strip', 0.005, 0.07, 'stock', 'bones'),
      by('dark-muscle', 0.01, 0.14, 'cook', 'blood-line'),
      by('skin', 0.03, 0.12, 'crisp', 'skin'),
      by('trim', 0.01, 0.2, 'mince', 'trim'),
      waste('sinew', 0.003, 0.06, 'trim')
    ],
    schools: [
      {
        id: 'square-blocks',
        steps: ['chill', 'ribs', 'pin-bones', 'belly', 'skin', 'dark-off', 'sinew-off', 'square', 'weigh-waste']
      }
    ],
    choices: [PIN, SKIN, BELLY]
  }
};
