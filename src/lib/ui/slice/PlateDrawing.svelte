<script lang="ts">
  import ChartFrame from '../charts/ChartFrame.svelte';
  import type { Placed } from '$lib/core/bench/slice/plate.ts';
  import { plateWords as t } from '$lib/words/screens/slice.ts';

  /** A plate from above, to scale, with each slice where it lies and its number. */
  let {
    groups,
    across,
    called
  }: {
    /** Slices of one kind each, with the letter of the kind where there are several. */
    groups: readonly { readonly letter: string; readonly placed: readonly Placed[] }[];
    across: number;
    called: string;
  } = $props();

  const W = 420;
  const H = 420;
  const scale = $derived((W - 20) / across);
  const x = (mm: number) => W / 2 + mm * scale;
  const y = (mm: number) => H / 2 - mm * scale;
  const all = $derived(
    groups.flatMap(({ letter, placed }, kind) => placed.map((slice, index) => ({ ...slice, letter, kind, index })))
  );
  const numbers = $derived(all.map(({ number }) => number));
  /** Numbers stand where one slice shows enough of itself. */
  const stride = $derived(all.length <= 30 ? 1 : 5);
</script>

<ChartFrame width={W} height={H} says={t.fromAbove(called, `${numbers[0] ?? 0}–${numbers.at(-1) ?? 0}`)}>
  <circle class="plate" cx={W / 2} cy={H / 2} r={(across / 2) * scale} />
  <circle class="well" cx={W / 2} cy={H / 2} r={(across / 2) * scale * 0.84} />
  {#each all as slice (`${slice.letter}${slice.number}`)}
    <g transform="translate({x(slice.x)} {y(slice.y)}) rotate({-slice.turn})">
      <rect
        class="slice kind{slice.kind}"
        x={(-slice.along * scale) / 2}
        y={(-slice.across * scale) / 2}
        width={slice.along * scale}
        height={slice.across * scale}
        rx="3"
      />
    </g>
  {/each}
  {#each all as slice (`${slice.letter}${slice.number}`)}
    {#if slice.index % stride === 0}
      <text x={x(slice.x)} y={y(slice.y) + 5} text-anchor="middle">{slice.letter}{slice.number}</text>
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
  .kind1 {
    fill: #cfe3ea;
  }
  .kind2 {
    fill: #f0dd9c;
  }
  .kind3 {
    fill: #d8d3ea;
  }
</style>
