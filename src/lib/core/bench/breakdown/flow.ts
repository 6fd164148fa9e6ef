import type { PieceCost } from './cost.ts';
import type { Movement } from './mass.ts';

/** Where grams and money end: on a plate, still here, used up as waste, or lost. */
export const FATES = ['served', 'here', 'by-product', 'waste', 'drip', 'gap', 'binned', 'returned'] as const;
export type Fate = (typeof FATES)[number];

export interface FlowNode {
  readonly id: string;
  /** How many cuts from the whole fish; fates stand last. */
  readonly depth: number;
  readonly name: string;
  readonly fate: Fate | null;
}
export interface FlowLink {
  readonly source: string;
  readonly target: string;
  readonly grams: number;
  readonly cents: number;
}
export interface FlowPiece {
  readonly id: string;
  readonly name: string;
  readonly grade: string;
  readonly left: number;
  readonly moves: readonly Movement[];
}

/** Names at one depth that are drawn on their own; the rest goes together. */
const MOST_NAMES = 9;
export const OTHER_PARTS = 'other parts';

const FATE_OF: Partial<Record<Movement['kind'], Fate>> = {
  served: 'served',
  binned: 'binned',
  returned: 'returned',
  waste: 'waste',
  drip: 'drip',
  cure: 'drip',
  gap: 'gap',
  scale: 'gap'
};

/**
 * Mass and money from whole fish to plates: pieces of one name at one depth are drawn as one. What flows into a node flows
 * out of it again, but for what a piece gained on the scale.
 *
 * @param pieces parents before their children
 * @param parents of each piece
 * @param costs as allocated; whole cents
 */
export function massAndMoney(
  pieces: readonly FlowPiece[],
  parents: ReadonlyMap<string, readonly string[]>,
  costs: ReadonlyMap<string, PieceCost>
): { readonly nodes: readonly FlowNode[]; readonly links: readonly FlowLink[] } {
  const depth = new Map<string, number>();
  const weights = new Map<string, number>();
  const known = new Set(pieces.map(({ id }) => id));
  const inGrams = new Map<string, number>();
  for (const piece of pieces) {
    const above = (parents.get(piece.id) ?? []).filter((parent) => known.has(parent));
    depth.set(piece.id, above.length === 0 ? 0 : 1 + Math.max(...above.map((parent) => depth.get(parent) ?? 0)));
    for (const move of piece.moves) {
      if (move.kind === 'gave') inGrams.set(move.to, (inGrams.get(move.to) ?? 0) + move.grams);
    }
  }
  const labels = new Map(pieces.map((piece) => [piece.id, `${depth.get(piece.id)} ${piece.name}`]));
  for (const { id } of pieces) {
    const label = labels.get(id)!;
    weights.set(label, (weights.get(label) ?? 0) + (inGrams.get(id) ?? 0));
  }
  const byDepth = new Map<string, [label: string, grams: number][]>();
  for (const entry of weights) {
    const level = entry[0].slice(0, entry[0].indexOf(' '));
    const known = byDepth.get(level);
    if (known) known.push(entry);
    else byDepth.set(level, [entry]);
  }
  const drawn = new Set<string>();
  for (const here of byDepth.values()) {
    here.sort((a, b) => b[1] - a[1]);
    for (const [label] of here.length <= MOST_NAMES + 1 ? here : here.slice(0, MOST_NAMES)) drawn.add(label);
  }
  const nodes = new Map<string, FlowNode>();
  const nodeOf = (piece: FlowPiece): string => {
    const own = labels.get(piece.id)!;
    const level = depth.get(piece.id)!;
    const id = drawn.has(own) ? own : `${level} ${OTHER_PARTS}`;
    if (!nodes.has(id))
      nodes.set(id, { id, depth: level, name: drawn.has(own) ? piece.name : OTHER_PARTS, fate: null });
    return id;
  };
  const links = new Map<string, { source: string; target: string; grams: number; cents: number }>();
  const link = (source: string, target: string, grams: number, cents: number) => {
    if (grams <= 0 && cents <= 0) return;
    const key = `${source}\n${target}`;
    let known = links.get(key);
    if (!known) links.set(key, (known = { source, target, grams: 0, cents: 0 }));
    known.grams += Math.max(0, grams);
    known.cents += cents;
  };
  const fate = (source: string, kind: Fate, grams: number, cents: number) => {
    const id = `fate ${kind}`;
    if (grams <= 0 && cents <= 0) return;
    if (!nodes.has(id)) nodes.set(id, { id, depth: -1, name: kind, fate: kind });
    link(source, id, grams, cents);
  };
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  for (const piece of pieces) {
    const source = nodeOf(piece);
    const cost = costs.get(piece.id);
    const owed: Partial<Record<Fate, number>> = {
      served: cost?.served ?? 0,
      binned: cost?.lost ?? 0,
      returned: cost?.returned ?? 0
    };
    for (const move of piece.moves) {
      if (move.kind === 'gave') {
        const child = byId.get(move.to);
        if (child) link(source, nodeOf(child), move.grams, 0);
        continue;
      }
      const end = FATE_OF[move.kind]!;
      // Money of a kind goes with the first move of it: the sum is what is drawn.
      fate(source, end, move.grams, owed[end] ?? 0);
      if (end in owed) owed[end] = 0;
    }
    if (owed.binned! > 0) fate(source, 'waste', 0, owed.binned!);
    for (const [child, cents] of cost?.gave ?? []) {
      const to = byId.get(child);
      if (to) link(source, nodeOf(to), 0, cents);
    }
    if (piece.left > 0) fate(source, piece.grade === 'by-product' ? 'by-product' : 'here', piece.left, cost?.here ?? 0);
  }
  return { nodes: [...nodes.values()], links: [...links.values()] };
}
