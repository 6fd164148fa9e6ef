<script lang="ts">
  import ChartFrame from '../charts/ChartFrame.svelte';
  import { measureAt } from '$lib/core/bench/slice/block.ts';
  import { cotangent, turned } from '$lib/core/bench/slice/block.ts';
  import type { SliceOutcome } from '$lib/core/bench/slice/settings.ts';
  import { blockCut as t } from '$lib/words/screens/slice.ts';
  import * as say from '$lib/words/say.ts';

  /** The block from the side with its cuts, to scale, and a ruler with where the blade stands for each. */
  let {
    cut,
    left = false
  }: { cut: SliceOutcome; /** For a left-handed cook: it is cut from the other side. */ left?: boolean } = $props();

  const W = 700;
  const H = 250;
  const PAD = 24;
  const BASE = 176;
  const block = $derived(cut.order.first === 'head' ? cut.block : turned(cut.block));
  const most = $derived(Math.max(...block.heights.map(({ mm }) => mm)));
  const scale = $derived(Math.min((W - 2 * PAD) / block.length, 140 / most));
  const tenth = (px: number) => Math.round(px * 10) / 10;
  const x = (mm: number) => tenth(left ? W - PAD - mm * scale : PAD + mm * scale);
  const y = (mm: number) => tenth(BASE - mm * scale);
  const outline = $derived.by(() => {
    const tops = [...new Set([0, ...block.heights.map(({ at }) => at), block.length])].sort((a, b) => a - b);
    return `M${x(0)} ${y(0)} ${tops.map((at) => `L${x(at)} ${y(measureAt(block.heights, at))}`).join(' ')} L${x(block.length)} ${y(0)}Z`;
  });
  /** Where a leaning blade comes out of the top, mm along the block. */
  function top(at: number, angle: number) {
    let height = measureAt(block.heights, at);
    for (let step = 0; step < 6; step++)
      height = measureAt(block.heights, Math.min(block.length, at + height * cotangent(angle)));
    return { at: at + height * cotangent(angle), height };
  }
  const faces = $derived(
    cut.slices.map((slice, index) => {
      const [from, to] = [slice.from, slice.to].map(({ at, angle }) => ({ at, ...{ up: top(at, angle) } }));
      return {
        index,
        row: cut.sequence[slice.row]!,
        path: `M${x(from!.at)} ${y(0)} L${x(from!.up.at)} ${y(from!.up.height)} L${x(to!.up.at)} ${y(to!.up.height)} L${x(to!.at)} ${y(0)}Z`,
        mark: x((from!.at + to!.at) / 2)
      };
    })
  );
  // All slices of a row are one path: a drawing of a hundred of them is redrawn while the knife is dragged.
  const drawn = $derived([0, 1, 2].map((row) => faces.flatMap((face) => (face.row === row ? face.path : [])).join('')));
  // Every number where there is room for it, else every fifth or tenth.
  const stride = $derived.by(() => {
    const step = faces.length > 1 ? Math.abs(faces.at(-1)!.mark - faces[0]!.mark) / (faces.length - 1) : 99;
    return [1, 2, 5, 10, 20, 50].find((each) => each * step > 26) ?? 100;
  });
  const numbered = $derived(faces.filter(({ index }) => (index + 1) % stride === 0 || index === 0));
  const ticks = $derived(Array.from({ length: Math.floor(block.length / 10) + 1 }, (_, index) => index * 10));
  const tickStride = $derived([1, 2, 5, 10].find((each) => each * 10 * scale > 34) ?? 20);
  const tickPath = $derived(
    ticks.map((mm) => `M${x(mm)} ${BASE + 32}v${mm % (10 * tickStride) === 0 ? 10 : 5}`).join('')
  );
  const rows = $derived(
    cut.slices.map((slice, index) => [
      String(index + 1),
      say.length(slice.to.at),
      `${say.number(slice.to.angle, 0)}°`,
      say.length(slice.thickness),
      say.mass(slice.gramsEach),
      String(slice.pieces)
    ])
  );
</script>

<ChartFrame
  width={W}
  height={H}
  says={t.fromTheSide(cut.pieces, Math.round(block.length))}
  table={{ head: t.cutHead, rows, name: t.everyCut, numbers: [0, 1, 2, 3, 4, 5] }}
>
  <path class="block" d={outline} />
  {#each drawn as d, row (row)}
    {#if d !== ''}<path class="slice row{row}" {d} />{/if}
  {/each}
  {#each numbered as { index, mark } (index)}
    <text class="number" x={tenth(mark)} y={BASE + 18} text-anchor="middle">{index + 1}</text>
  {/each}
  <path class="board" d="M0 {BASE + 1} H{W}" />
  <g class="ruler">
    <path d="M{x(0)} {BASE + 32} H{x(block.length)}{tickPath}" />
    {#each ticks.filter((mm) => mm % (10 * tickStride) === 0) as mm (mm)}
      <text x={x(mm)} y={BASE + 58} text-anchor="middle">{mm}</text>
    {/each}
  </g>
  <text x={left ? W - PAD : PAD} y={16} text-anchor={left ? 'end' : 'start'}>{t.endFirst[cut.order.first]}</text>
</ChartFrame>

<style>
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .number {
    fill: var(--ink);
  }
  .block {
    fill: var(--sunk);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .slice {
    fill: #efc9b4;
    stroke: #132334;
    stroke-width: 1.1;
  }
  .slice.row1 {
    fill: #e2a78c;
  }
  .slice.row2 {
    fill: #c98b78;
  }
  .board {
    stroke: var(--strong-line);
    stroke-width: 4;
  }
  .ruler path {
    stroke: var(--soft);
    fill: none;
  }
</style>
