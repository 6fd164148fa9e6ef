<script lang="ts">
  import ChartFrame from '../charts/ChartFrame.svelte';
  import { measureAt } from '$lib/core/bench/slice/block.ts';
  import type { SquareAnswer } from '$lib/core/bench/slice/settings.ts';
  import { squarePage as t } from '$lib/words/screens/slice.ts';
  import * as say from '$lib/words/say.ts';

  /** A side from above, and its section where it is highest: the blocks in it, the dark strip, the skin. To scale. */
  let { out }: { out: SquareAnswer } = $props();

  const W = 700;
  const H = 330;
  const PAD = 24;
  const order = $derived(out.order);
  const side = $derived(order.side);
  const wide = $derived(Math.max(...side.widths.map(({ mm }) => mm)));
  const tall = $derived(Math.max(...side.heights.map(({ mm }) => mm)));
  const scale = $derived(Math.min((W - 2 * PAD) / side.length, 170 / wide));
  const x = (mm: number) => PAD + mm * scale;
  const y = (mm: number) => 30 + mm * scale;
  const edge = $derived.by(() => {
    const places = [...new Set([0, ...side.widths.map(({ at }) => at), side.length])].sort((a, b) => a - b);
    return `M${x(0)} ${y(0)} H${x(side.length)} ${[...places]
      .reverse()
      .map((at) => `L${x(at)} ${y(measureAt(side.widths, at))}`)
      .join(' ')}Z`;
  });
  /** The section: at the place where it stands highest, drawn below at a scale of its own. */
  const at = $derived(side.heights.find(({ mm }) => mm === tall)?.at ?? 0);
  const own = $derived(measureAt(side.widths, at));
  const base = $derived(H - 24);
  const close = $derived(Math.min((W - 2 * PAD) / own, (H - y(wide) - 60) / tall));
  const u = (mm: number) => PAD + mm * close;
  const v = (mm: number) => base - mm * close;
  const here = $derived(out.blocks.filter(({ from, to }) => from <= at + 0.5 && to >= at - 0.5));
  const rows = $derived(
    out.blocks.map(({ from, to, layer, grams }, index) => [
      String(index + 1),
      say.length(from),
      say.length(to),
      String(layer + 1),
      say.mass(grams)
    ])
  );
</script>

<ChartFrame
  width={W}
  height={H}
  says={t.fromAbove(out.blocks.length)}
  table={{ head: t.blockHead, rows, name: t.everyBlock, numbers: [0, 1, 2, 3, 4] }}
>
  <text x={PAD} y={18}>{t.headEnd}</text>
  <text x={x(side.length)} y={18} text-anchor="end">{t.tailEnd}</text>
  <path class="flesh" d={edge} />
  {#if order.dark > 0}
    <rect class="dark" x={x(0)} y={y(0)} width={side.length * scale} height={order.dark * scale} />
  {/if}
  {#each out.blocks as block, index (index)}
    <rect
      class="block"
      x={x(block.from)}
      y={y(order.dark + block.row * order.width)}
      width={(block.to - block.from) * scale}
      height={order.width * scale}
      rx="2"
    />
    {#if block.layer === 0}
      <text
        class="number"
        x={x((block.from + block.to) / 2)}
        y={y(order.dark + (block.row + 0.5) * order.width) + 5}
        text-anchor="middle">{index + 1}</text
      >
    {/if}
  {/each}
  <text x={PAD} y={y(wide) + 26}>{t.fromTheEnd}</text>
  <path class="flesh" d="M{u(0)} {v(0)} V{v(tall)} L{u(own)} {v(tall * side.edge)} V{v(0)}Z" />
  {#if order.skin > 0}
    <rect class="skin" x={u(0)} y={v(order.skin)} width={own * close} height={order.skin * close} />
  {/if}
  {#if order.dark > 0}
    <rect
      class="dark"
      x={u(0)}
      y={v(tall)}
      width={order.dark * close}
      height={Math.max(0, tall - order.skin) * close}
    />
  {/if}
  {#each here as block (`${block.row} ${block.layer}`)}
    <rect
      class="block"
      x={u(order.dark + block.row * order.width)}
      y={v(order.skin + (block.layer + 1) * order.height)}
      width={order.width * close}
      height={order.height * close}
      rx="2"
    />
  {/each}
  <path class="board" d="M0 {base + 2} H{W}" />
</ChartFrame>

<style>
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .number {
    fill: #132334;
    font-weight: 700;
  }
  .flesh {
    fill: var(--sunk);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .block {
    fill: #efc9b4;
    stroke: #132334;
    stroke-width: 1.3;
  }
  .dark {
    fill: #8d5a50;
    opacity: 0.75;
  }
  .skin {
    fill: var(--strong-line);
  }
  .board {
    stroke: var(--strong-line);
    stroke-width: 4;
  }
</style>
