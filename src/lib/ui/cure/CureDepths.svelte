<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureDepths as t } from '$lib/words/screens/cure.ts';
  import ChartFrame from '../charts/ChartFrame.svelte';
  import { line, scaleLinear } from 'd3';
  import type { CureResult } from '$lib/core/bench/cure/plan.ts';
  import { thickestZone, thinnestZone } from '$lib/core/bench/cure/zones.ts';

  /** Salt by depth at the end: the thick end, the thin end, and the same of a second plan. */
  let { plans, target }: { plans: readonly { name: string; result: CureResult }[]; target: number } = $props();

  const W = 640;
  const H = 210;
  const left = 44;
  const right = 616;
  const top = 14;
  const bottom = 170;
  const curves = $derived(
    plans.flatMap(({ name, result }, plan) => {
      const last = result.frames.length - 1;
      const thick = thickestZone(result.zones);
      const thin = thinnestZone(result.zones);
      const of = (zone: number, end: string) => {
        const from = (last * result.zones.length + zone) * result.layers;
        const salt = Array.from(result.picture.subarray(from, from + result.layers));
        return { name: `${name}${end}`, plan, end, salt, mm: result.zones[zone]!.mm };
      };
      return thick === thin ? [of(thick, '')] : [of(thick, t.thickEnd), of(thin, t.thinEnd)];
    })
  );
  const most = $derived(Math.max(target, ...curves.flatMap(({ salt }) => salt)) * 1.05);
  const x = scaleLinear([0, 1], [left, right]);
  const y = $derived(scaleLinear([0, most], [bottom, top]));
  const path = $derived(
    line<number>()
      .x((_, index) => x((index + 0.5) / (curves[0]?.salt.length ?? 1)))
      .y((salt) => y(salt))
  );
  const percent = say.points;
</script>

<ChartFrame
  width={W}
  height={H}
  says={t.saltByDepthAt(
    curves.map(({ name, salt }) => t.atTheFaceAt(name, percent(salt[0]!), percent(salt.at(-1)!))).join('; ')
  )}
>
  {#each y.ticks(4) as tick (tick)}
    <line class="grid" x1={left} x2={right} y1={y(tick)} y2={y(tick)} />
    <text x={left - 6} y={y(tick) + 4} text-anchor="end">{tick}</text>
  {/each}
  <line class="target" x1={left} x2={right} y1={y(target)} y2={y(target)} />
  <text x={right} y={y(target) - 5} text-anchor="end">{t.wantedInside}</text>
  {#each curves as curve (curve.name)}
    <path class="curve plan{curve.plan}" class:thin={curve.end.includes('thin')} d={path(curve.salt)} />
  {/each}
  <text x={left} y={bottom + 18}>{t.face}</text>
  <text x={right} y={bottom + 18} text-anchor="end">{t.middleOrSkin}</text>
  <text x="4" y="10">%</text>
  {#snippet caption()}
    <span class="key">
      {#each curves as curve (curve.name)}
        <span
          ><span class="mark plan{curve.plan}" class:thin={curve.end.includes('thin')}></span>
          {curve.name} <span class="soft">({say.length(curve.mm)})</span></span
        >
      {/each}
    </span>
  {/snippet}
</ChartFrame>

<style>
  .target {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 2 4;
  }
  .curve {
    fill: none;
    stroke-width: 3;
  }
  .plan0 {
    stroke: var(--water-deep);
    border-color: var(--water-deep);
  }
  .plan1 {
    stroke: var(--strong-line);
    border-color: var(--strong-line);
  }
  .curve.thin {
    stroke-dasharray: 9 5;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.2rem;
    font-size: 0.92rem;
  }
  .mark {
    display: inline-block;
    width: 28px;
    border-top-width: 4px;
    border-top-style: solid;
    vertical-align: middle;
  }
  .mark.thin {
    border-top-style: dashed;
  }
</style>
