<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { massFlow as t } from '$lib/words/screens/charts.ts';
  import ChartFrame from './ChartFrame.svelte';
  import type { FlowLink, FlowNode } from '$lib/core/bench/breakdown/flow.ts';
  import { FATE_WORDS } from '$lib/words/cuts.ts';
  import { drawFlow } from './flow.ts';

  /** From whole fish to plates, by weight or by money: as wide as what it carries. */
  let {
    flow,
    by,
    currency
  }: {
    flow: { nodes: readonly FlowNode[]; links: readonly FlowLink[] };
    by: 'mass' | 'money';
    currency: string;
  } = $props();
  let box = $state(1000);
  const width = $derived(Math.max(560, box));
  const drawn = $derived(drawFlow(flow, by, width));
  const name = (node: { name: string; fate: string | null }) =>
    node.fate ? (FATE_WORDS[node.fate] ?? node.fate) : node.name;
  /** A part is called by its part alone: the fish stands at the left. */
  const short = (text: string) => (text.includes(', ') ? text.slice(text.indexOf(', ') + 2) : text).slice(0, 30);
  const figure = (node: { grams: number; cents: number }) =>
    by === 'mass' ? say.mass(node.grams) : say.money(node.cents, currency);
</script>

{#if drawn.nodes.length === 0}
  <p class="soft">{by === 'mass' ? t.nothingHasBeenCut : t.noPriceIsOn}</p>
{:else}
  <div bind:clientWidth={box}>
    <ChartFrame
      {width}
      height={drawn.height}
      says={t.flowOfTheSame(by)}
      table={{
        head: [t.what, t.weight, t.money],
        numbers: [1, 2],
        rows: drawn.nodes.map((node) => [name(node), say.mass(node.grams), say.money(node.cents, currency)])
      }}
    >
      {#each drawn.links as link (link.d)}
        <path d={link.d} class="link {link.fate ?? ''}" stroke-width={link.width} />
      {/each}
      {#each drawn.nodes as node (node.id)}
        <rect x={node.x} y={node.y} width={node.width} height={node.height} class={node.fate ?? 'piece'} />
        <text
          x={node.last ? node.x - 6 : node.x + node.width + 6}
          y={node.y + Math.min(14, node.height / 2 + 5)}
          text-anchor={node.last ? 'end' : 'start'}
        >
          {node.depth === 0 ? name(node).slice(0, 34) : short(name(node))} <tspan class="figure">{figure(node)}</tspan>
        </text>
      {/each}
    </ChartFrame>
  </div>
{/if}

<style>
  .link {
    fill: none;
    stroke: var(--water);
    opacity: 0.38;
  }
  .link.waste,
  .link.drip,
  .link.gap,
  .link.returned {
    stroke: var(--strong-line);
  }
  .link.binned {
    stroke: var(--ember);
  }
  rect {
    fill: var(--ink);
  }
  rect.waste,
  rect.drip,
  rect.gap,
  rect.returned {
    fill: var(--strong-line);
  }
  rect.binned {
    fill: var(--ember);
  }
  text {
    font-size: 15px;
    font-weight: 600;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--surface);
    stroke-width: 3.5px;
    stroke-linejoin: round;
  }
  tspan.figure {
    font-size: 14px;
    font-weight: 400;
  }
</style>
