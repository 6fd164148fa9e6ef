/**
 * Fish that are taken for one another, and the marks that tell them apart. A mark is drawn from its figures (see
 * ui/marks/FishMark.svelte), never from a photograph. General knowledge of the trade; where marks are gone (a skinless fillet) only
 * the seller's paper or a laboratory can tell.
 */
export interface MarkDrawing {
  /** Depth of the body over its length, 0.15 to 0.6. */
  readonly depth: number;
  readonly tail: 'forked' | 'lunate' | 'square' | 'round';
  readonly stripes?: 'back-oblique' | 'belly-long' | 'side-long' | 'bars';
  readonly spots?: 'dark' | 'pale' | 'one';
  /** Length of the breast fin over the body's length. */
  readonly breastFin?: number;
  readonly finlets?: boolean;
  readonly band?: boolean;
  readonly scutes?: boolean;
  readonly flat?: 'left' | 'right';
  /** Spines along the back, and an eye larger than its kin's. */
  readonly spiny?: boolean;
  readonly largeEye?: boolean;
  readonly line?: 'straight' | 'arched' | 'wavy';
}

export interface Lookalike {
  readonly species: string;
  readonly drawing: MarkDrawing;
  readonly marks: readonly string[];
}

export interface LookalikeGroup {
  readonly id: string;
  readonly name: string;
  /** Whether crosses between them are bred or found. */
  readonly hybrids: boolean;
  readonly members: readonly Lookalike[];
}

const tuna = (breastFin: number, extra: Partial<MarkDrawing> = {}): MarkDrawing => ({
  depth: 0.28,
  tail: 'lunate',
  finlets: true,
  breastFin,
  ...extra
});

export const LOOKALIKES: readonly LookalikeGroup[] = [
  {
    id: 'tunas',
    name: 'Tunas',
    hybrids: false,
    members: [
      {
        species: 'yellowfin',
        drawing: tuna(0.24),
        marks: ['second back fin and vent fin long and yellow', 'finlets yellow, edged black']
      },
      {
        species: 'bigeye',
        drawing: tuna(0.26, { depth: 0.31, largeEye: true }),
        marks: ['large eye, deep body', 'finlets yellow with a dark edge, fins not drawn out']
      },
      {
        species: 'albacore',
        drawing: tuna(0.34),
        marks: ['breast fin reaches past the second back fin', 'tail edged white']
      },
      {
        species: 'atlantic-bluefin',
        drawing: tuna(0.16, { depth: 0.3 }),
        marks: ['short breast fin', 'dark back, silver spots and lines on the belly']
      },
      {
        species: 'pacific-bluefin',
        drawing: tuna(0.17, { depth: 0.3 }),
        marks: ['short breast fin', 'like its Atlantic kin: the ocean on the paper tells them apart']
      }
    ]
  },
  {
    id: 'bonitos',
    name: 'Bonito and skipjack',
    hybrids: false,
    members: [
      {
        species: 'skipjack',
        drawing: { depth: 0.26, tail: 'lunate', finlets: true, stripes: 'belly-long' },
        marks: ['four to six dark lines along the belly', 'no scales but at the breast']
      },
      {
        species: 'atlantic-bonito',
        drawing: { depth: 0.23, tail: 'lunate', finlets: true, stripes: 'back-oblique' },
        marks: ['slanting dark lines on the back', 'strong teeth in a long jaw']
      }
    ]
  },
  {
    id: 'jacks',
    name: 'Yellowtail, amberjack, trevally',
    hybrids: true,
    members: [
      {
        species: 'amberjack',
        drawing: { depth: 0.26, tail: 'forked', band: true },
        marks: ['a yellow or dark band from the eye to the tail', 'no hard shields before the tail']
      },
      {
        species: 'trevally',
        drawing: { depth: 0.38, tail: 'forked', scutes: true },
        marks: ['deep body', 'hard shields along the end of the side line']
      },
      {
        species: 'horse-mackerel',
        drawing: { depth: 0.22, tail: 'forked', scutes: true, line: 'arched' },
        marks: ['small and slim', 'hard shields along the whole side line']
      }
    ]
  },
  {
    id: 'reds',
    name: 'Red fish sold as snapper',
    hybrids: false,
    members: [
      {
        species: 'snapper',
        drawing: { depth: 0.36, tail: 'square', spiny: true, line: 'straight' },
        marks: ['pointed fins, dog teeth', 'side line unbroken, cheek scaled']
      },
      {
        species: 'sea-bream',
        drawing: { depth: 0.44, tail: 'forked', spots: 'pale', spiny: true },
        marks: ['steep forehead, molars for shells', 'blue specks or a gold band between the eyes']
      },
      {
        species: 'rockfish',
        drawing: { depth: 0.36, tail: 'round', spiny: true, largeEye: true },
        marks: ['spines on the cheek and head', 'large eye, mouth turned up']
      }
    ]
  },
  {
    id: 'basses',
    name: 'Fish sold as sea bass',
    hybrids: true,
    members: [
      {
        species: 'european-sea-bass',
        drawing: { depth: 0.25, tail: 'forked' },
        marks: ['plain silver, no lines', 'spines on the lower gill cover']
      },
      {
        species: 'striped-bass',
        drawing: { depth: 0.32, tail: 'forked', stripes: 'side-long' },
        marks: ['dark lines along the side, broken in the farmed cross', 'deeper than the sea kind']
      },
      {
        species: 'barramundi',
        drawing: { depth: 0.33, tail: 'round' },
        marks: ['hollow forehead, tail round as a fan', 'eye glows in low light']
      },
      {
        species: 'lake-or-brackish-bass',
        drawing: { depth: 0.28, tail: 'forked', stripes: 'bars' },
        marks: ['dark bars across the side', 'two separate back fins']
      }
    ]
  },
  {
    id: 'salmonids',
    name: 'Salmon, trout, char',
    hybrids: true,
    members: [
      {
        species: 'atlantic-salmon',
        drawing: { depth: 0.23, tail: 'forked', spots: 'dark' },
        marks: ['few dark spots, above the side line', 'slim wrist before the tail']
      },
      {
        species: 'rainbow',
        drawing: { depth: 0.26, tail: 'square', spots: 'dark', band: true },
        marks: ['many dark spots, on the tail too', 'a rose band along the side']
      },
      {
        species: 'arctic-char',
        drawing: { depth: 0.22, tail: 'forked', spots: 'pale' },
        marks: ['pale spots on a darker side', 'white front edge on the lower fins']
      },
      {
        species: 'brown-trout',
        drawing: { depth: 0.25, tail: 'square', spots: 'dark' },
        marks: ['dark and red spots, some ringed', 'thick wrist, square tail']
      },
      {
        species: 'king-salmon',
        drawing: { depth: 0.27, tail: 'forked', spots: 'dark' },
        marks: ['black gums', 'spots over both halves of the tail']
      },
      {
        species: 'coho-salmon',
        drawing: { depth: 0.25, tail: 'forked', spots: 'dark' },
        marks: ['white gums', 'spots on the upper half of the tail only']
      }
    ]
  },
  {
    id: 'flatfish',
    name: 'Flatfish',
    hybrids: false,
    members: [
      {
        species: 'flounder',
        drawing: { depth: 0.42, tail: 'round', flat: 'left', line: 'arched' },
        marks: ['eyes on the left, large mouth with teeth', 'side line arched over the breast fin']
      },
      {
        species: 'turbot',
        drawing: { depth: 0.6, tail: 'round', flat: 'left' },
        marks: ['eyes on the left, almost round', 'bony knobs in the skin, no scales']
      },
      {
        species: 'halibut',
        drawing: { depth: 0.34, tail: 'lunate', flat: 'right', line: 'arched' },
        marks: ['eyes on the right, long body', 'tail hollow like a moon']
      },
      {
        species: 'sole',
        drawing: { depth: 0.38, tail: 'round', flat: 'right', line: 'straight' },
        marks: ['eyes on the right, small mouth', 'side line straight']
      }
    ]
  },
  {
    id: 'white-flesh',
    name: 'Pale, rich fillets sold as white tuna or butterfish',
    hybrids: false,
    members: [
      {
        species: 'albacore',
        drawing: tuna(0.34),
        marks: ['pinkish, in four loins', 'flakes when cooked']
      },
      {
        species: 'escolar',
        drawing: { depth: 0.2, tail: 'forked', line: 'wavy', finlets: true },
        marks: ['very white and oily to the finger', 'skin dark with a wavy side line, rough scales']
      },
      {
        species: 'sablefish',
        drawing: { depth: 0.2, tail: 'forked' },
        marks: ['two back fins well apart', 'black skin, flesh in large soft flakes']
      }
    ]
  },
  {
    id: 'mackerels',
    name: 'Mackerels',
    hybrids: false,
    members: [
      {
        species: 'atlantic-mackerel',
        drawing: { depth: 0.19, tail: 'forked', stripes: 'back-oblique', finlets: true },
        marks: ['wavy dark bars on the back only', 'belly plain silver']
      },
      {
        species: 'spanish',
        drawing: { depth: 0.19, tail: 'lunate', spots: 'dark', finlets: true },
        marks: ['round spots on the side', 'side line drops or waves under the second back fin']
      }
    ]
  }
];

/**
 * The groups of look-alikes a species belongs to.
 *
 * @example
 * lookalikesOf('escolar').map((group) => group.id) // => ['white-flesh']
 */
export const lookalikesOf = (species: string): LookalikeGroup[] =>
  LOOKALIKES.filter((group) => group.members.some((member) => member.species === species));
