import { sankey, sankeyJustify, sankeyLinkHorizontal, type SankeyGraph } from 'd3-sankey';
import type { FlowLink, FlowNode } from '../../core/bench/breakdown/flow.ts';

interface DrawnNode {
  readonly id: string;
  readonly cuts: number;
  readonly name: string;
  readonly fate: string | null;
}
interface DrawnLink {
  readonly grams: number;
  readonly cents: number;
}

export interface Drawn {
  readonly nodes: readonly {
    readonly id: string;
    readonly name: string;
    readonly fate: string | null;
    readonly depth: number;
    readonly grams: number;
    readonly cents: number;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly last: boolean;
  }[];
  readonly links: readonly {
    readonly d: string;
    readonly width: number;
    readonly target: string;
    readonly fate: string | null;
  }[];
  readonly height: number;
}

/** Lays out mass or money from whole fish to plates. A flow with nothing in it is drawn as nothing. */
export function drawFlow(
  flow: { readonly nodes: readonly FlowNode[]; readonly links: readonly FlowLink[] },
  by: 'mass' | 'money',
  width: number
): Drawn {
  const value = ({ grams, cents }: FlowLink) => (by === 'mass' ? grams : cents);
  const links = flow.links.filter((link) => value(link) > 0);
  const used = new Set(links.flatMap(({ source, target }) => [source, target]));
  const nodes = flow.nodes.filter(({ id }) => used.has(id));
  if (nodes.length === 0) return { nodes: [], links: [], height: 0 };
  const height = Math.max(240, Math.min(640, nodes.length * 42));
  const layout = sankey<DrawnNode, DrawnLink>()
    .nodeId((node) => node.id)
    .nodeAlign(sankeyJustify)
    .nodeWidth(12)
    .nodePadding(22)
    .extent([
      [4, 18],
      [width - 4, height - 6]
    ]);
  const graph: SankeyGraph<DrawnNode, DrawnLink> = layout({
    nodes: nodes.map(({ id, name, fate, depth }) => ({ id, name, fate, cuts: depth })),
    links: links.map((link) => ({ ...link, value: value(link) }))
  });
  const sum = (of: readonly { grams: number; cents: number }[] | undefined, pick: 'grams' | 'cents') =>
    (of ?? []).reduce((total, each) => total + each[pick], 0);
  const path = sankeyLinkHorizontal<DrawnNode, DrawnLink>();
  return {
    height,
    nodes: graph.nodes.map((node) => ({
      id: node.id,
      name: node.name,
      fate: node.fate,
      depth: node.cuts,
      grams: Math.max(sum(node.sourceLinks, 'grams'), sum(node.targetLinks, 'grams')),
      cents: Math.max(sum(node.sourceLinks, 'cents'), sum(node.targetLinks, 'cents')),
      x: node.x0 ?? 0,
      y: node.y0 ?? 0,
      width: (node.x1 ?? 0) - (node.x0 ?? 0),
      height: Math.max(1, (node.y1 ?? 0) - (node.y0 ?? 0)),
      last: (node.sourceLinks ?? []).length === 0
    })),
    links: graph.links.map((link) => {
      const target = link.target as { id: string; fate: string | null };
      return { d: path(link) ?? '', width: Math.max(1, link.width ?? 1), target: target.id, fate: target.fate };
    })
  };
}
