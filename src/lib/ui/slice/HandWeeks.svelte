<script lang="ts" module>
  /** "+8 %", "−3 %". */
  const signed = (share: number): string => `${share < 0 ? '−' : '+'}${say.points(Math.abs(share) * 100)}`;
</script>

<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import ChartFrame from '../charts/ChartFrame.svelte';
  import type { HandMark } from '$lib/server/facts/hands.ts';
  import * as say from '$lib/words/say.ts';
  import { STYLE_WORDS } from '$lib/words/knife-names.ts';
  import { handWeeks as t } from '$lib/words/screens/slice.ts';

  /** A person's weighings over the weeks: how far each was off what was wanted, and how much of it was in tolerance. */
  let { name, marks, from, to }: { name: string; marks: readonly HandMark[]; from: number; to: number } = $props();

  const W = 600;
  const H = 150;
  /** Off by more is drawn at the edge; the table says by how much. */
  const MOST = 0.3;
  const x = $derived(scaleLinear([from, to], [56, W - 16]));
  const y = scaleLinear([-MOST, MOST], [H - 24, 16]).clamp(true);
  /** Its area goes as the share in tolerance. */
  const r = (share: number) => 3 + 6 * Math.sqrt(share);
  const WEEK = 7 * 86_400_000;
  const ticks = $derived([10, 7, 4, 1].map((weeks) => to - weeks * WEEK));
  const rows = $derived(
    marks.map(({ at, style, slices, bias, spread, inTolerance }) => [
      say.dayAndTime(at),
      STYLE_WORDS[style],
      String(slices),
      signed(bias),
      spread === null ? '' : say.points(spread * 100),
      say.points(inTolerance * 100)
    ])
  );
</script>

<ChartFrame
  width={W}
  height={H}
  says={t.picture(name, marks.length)}
  table={{ head: t.head, rows, name: t.everyWeighing, numbers: [2, 3, 4, 5] }}
>
  <rect class="tolerance" x={56} y={y(0.1)} width={W - 72} height={y(-0.1) - y(0.1)} />
  <path class="right" d="M56 {y(0)} H{W - 16}" />
  <text x={48} y={y(0.2) + 5} text-anchor="end">{t.heavy}</text>
  <text x={48} y={y(-0.2) + 5} text-anchor="end">{t.light}</text>
  {#each ticks as tick (tick)}
    <text x={x(tick)} y={H - 4} text-anchor="middle">{say.shortDay(tick)}</text>
  {/each}
  {#each marks as mark (mark.at)}
    <circle class:off={Math.abs(mark.bias) > 0.1} cx={x(mark.at)} cy={y(mark.bias)} r={r(mark.inTolerance)} />
  {/each}
</ChartFrame>

<style>
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .tolerance {
    fill: var(--sunk);
  }
  .right {
    stroke: var(--strong-line);
    stroke-width: 1.5;
  }
  circle {
    fill: var(--water);
    stroke: var(--ink);
  }
  circle.off {
    fill: none;
    stroke-width: 2.5;
  }
</style>
