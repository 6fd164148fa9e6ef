<script lang="ts">
  import ChartFrame from '../charts/ChartFrame.svelte';
  import type { Plate } from '$lib/core/bench/slice/plate.ts';
  import { plateWords as t } from '$lib/words/screens/slice.ts';

  /** A plate from above, to scale, with each slice where it lies and its number. */
  let { plate, across, called }: { plate: Plate; across: number; called: string } = $props();

  const W = 420;
  const H = 420;
  const scale = $derived((W - 20) / across);
  const x = (mm: number) => W / 2 + mm * scale;
  const y = (mm: number) => H / 2 - mm * scale;
  const numbers = $derived(plate.placed.map(({ number }) => number));
  /** Numbers stand where one slice shows enough of itself. */
  const stride = $derived(plate.placed.length <= 30 ? 1 : 5);
</script>

<ChartFrame width={W} height={H} says={t.fromAbove(called, `${numbers[0] ?? 0}–${numbers.at(-1) ?? 0}`)}>
  <circle class="plate" cx={W / 2} cy={H / 2} r={(across / 2) * scale} />
  <circle class="well" cx={W / 2} cy={H / 2} r={(across / 2) * scale * 0.84} />
  {#each plate.placed as slice (slice.number)}
    <g transform="translate({x(slice.x)} {y(slice.y)}) rotate({-slice.turn})">
      <rect
        class="slice"
        x={(-slice.along * scale) / 2}
        y={(-slice.across * scale) / 2}
        width={slice.along * scale}
        height={slice.across * scale}
        rx="3"
      />
    </g>
  {/each}
  {#each plate.placed as slice, index (slice.number)}
    {#if index % stride === 0}
      <text x={x(slice.x)} y={y(slice.y) + 5} text-anchor="middle">{slice.number}</text>
    {/if}
  {/each}
</ChartFrame>

<style>
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: #132334;
  }
  .plate {
    fill: var(--surface);
    stroke: var(--strong-line);
    stroke-width: 2;
  }
  .well {
    fill: none;
    stroke: var(--line);
  }
  .slice {
    fill: #efc9b4;
    stroke: #132334;
    stroke-width: 1.1;
  }
</style>
