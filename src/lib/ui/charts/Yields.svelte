<script lang="ts">
  import { yields as t } from '$lib/words/screens/charts.ts';
  import ChartFrame from './ChartFrame.svelte';
  import { scaleLinear } from 'd3';
  import { partWord } from '$lib/words/cuts.ts';

  /** What boards gave: a line a group, the middle eight in ten as water, the middle as a stroke, the newest as dots. */
  let {
    groups,
    by
  }: {
    groups: readonly {
      key: string;
      name: string;
      runs: number;
      low: number;
      middle: number;
      high: number;
      last: readonly number[];
    }[];
    by: string;
  } = $props();
  const shown = $derived(groups.slice(0, 14));
  const most = $derived(Math.max(0.1, ...shown.map(({ high, last }) => Math.max(high, ...last))));
  const x = $derived(scaleLinear([0, Math.min(1, most * 1.08)], [210, 680]));
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const name = (group: { name: string; key: string }) => (by === 'part' ? partWord(group.key) : group.name);
</script>

{#if groups.length === 0}
  <p class="soft">
    {t.noBoardHasBeen}
  </p>
{:else}
  <div class="least">
    <ChartFrame
      width={700}
      height={shown.length * 40 + 26}
      says={t.yieldsTheSameFigures}
      table={{
        head: [t.what, t.boards, t.middle, t.eightInTen],
        rows: groups.map((group) => [
          name(group),
          String(group.runs),
          percent(group.middle),
          t.to(percent(group.low), percent(group.high))
        ])
      }}
    >
      {#each x.ticks(5) as tick (tick)}
        <path d="M{x(tick)} 18 V{shown.length * 40 + 20}" class="grid" />
        <text x={x(tick)} y="12" class="tick">{percent(tick)}</text>
      {/each}
      {#each shown as group, index (group.key)}
        {@const y = index * 40 + 40}
        <text x="0" y={y + 2} class="name">{name(group).slice(0, 24)}</text>
        <text x="0" y={y + 16} class="runs">{t.board(group.runs, group.runs === 1 ? '' : 's')}</text>
        <rect x={x(group.low)} y={y - 9} width={Math.max(2, x(group.high) - x(group.low))} height="18" />
        <path d="M{x(group.middle)} {y - 13} V{y + 13}" class="middle" />
        {#each group.last as share, each (each)}<circle cx={x(share)} cy={y} r="3.5" />{/each}
      {/each}
    </ChartFrame>
  </div>
{/if}

<style>
  .least {
    max-width: 860px;
  }
  rect {
    fill: var(--water-pale);
  }
  .middle {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  circle {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 1.5;
  }
  .runs,
  .tick {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .tick {
    text-anchor: middle;
  }
</style>
