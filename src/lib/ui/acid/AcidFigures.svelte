<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { fruitFor, sourLiquid } from '$lib/core/bench/acid/liquid.ts';
  import { lookAt, type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { LIQUID_WORDS, LOOK_WORDS } from '$lib/words/acid.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { formatDuration, formatLength } from '../format.ts';

  /** When it is as wanted, when past its best, and what the liquid can do. */
  let {
    result,
    band,
    settings,
    units
  }: { result: AcidResult; band: AcidBand | null; settings: AcidSettings; units: UnitPreferences } = $props();
  const coarse = (seconds: number) =>
    formatDuration(
      seconds < 120
        ? Math.round(seconds / 5) * 5
        : seconds < 7200
          ? Math.round(seconds / 60) * 60
          : Math.round(seconds / 600) * 600
    );
  const range = (of: { low: number; high: number } | null | undefined, never = 0) =>
    of ? `${coarse(of.low)} to ${coarse(of.high)}${mayNever(never)}` : '…';
  /** Fruit and fish differ: in so many of the draws the acid runs out first. */
  const mayNever = (share: number) => (share >= 0.005 ? `; may never (${Math.round(share * 100)} of 100)` : '');
  const then = $derived(result.readySeconds === null ? null : lookAt(result, result.readySeconds));
  const isFlat = $derived(settings.cut === 'fillet' && settings.faces === 1);
  const ml = (value: number) => `${Math.round(value)} ml`;
  const fruits = $derived(
    settings.liquid.flatMap(({ what, id, ml: poured }) => {
      const fruit = what === 'sour' && poured > 0 ? fruitFor(poured, sourLiquid(id!)) : null;
      return fruit ? [{ id: id!, ...fruit }] : [];
    })
  );
</script>

{#if !result.sour}
  <p class="trouble" data-no-acid>No acid to speak of: it will not turn. It is raw, whatever it lies in.</p>
{:else}
  <div class="times">
    <p class="figure" data-ready>
      {result.readySeconds === null ? 'never' : coarse(result.readySeconds)}
      <small
        >to {LOOK_WORDS[settings.wanted]}{result.readySeconds === null
          ? ': the acid runs out first'
          : `, ${range(band?.readySeconds, band?.never.ready)}`}</small
      >
    </p>
    <p class="figure">
      {result.pastSeconds === null ? 'not' : coarse(result.pastSeconds)}
      <small
        >past its best{result.pastSeconds === null
          ? ' with this little acid'
          : `, ${range(band?.pastSeconds, band?.never.past)}`}</small
      >
    </p>
  </div>
{/if}
<Table fixed>
  <tbody>
    {#if then}
      <tr data-then
        ><td>What you have then</td><td
          >rim {formatLength(then.rimMm, units)}, {Math.round(then.raw * 100)} % of it still raw</td
        ></tr
      >
    {/if}
    <tr
      ><td>Set through</td><td
        >{result.setSeconds === null
          ? 'not with this liquid'
          : `${coarse(result.setSeconds)} (${range(band?.setSeconds, band?.never.set)})`}</td
      ></tr
    >
    <tr>
      <td>Liquid</td>
      <td
        >{ml(result.liquid.ml)}{result.liquid.oilMl > 0
          ? ` and ${ml(result.liquid.oilMl)} oil, which adds no acid`
          : ''}</td
      >
    </tr>
    <tr>
      <td>Covers it</td>
      <td data-cover
        >{result.topUpMl > 0
          ? `no: what pokes out stays raw. About ${ml(result.coverMl)} ${isFlat ? 'stand 4 mm deep under it' : 'cover it'}; top up ${ml(result.topUpMl)}${isFlat ? '' : ', or turn it'}`
          : `yes, from about ${ml(result.coverMl)} on${isFlat ? ' flesh side down, 4 mm deep' : ''}`}</td
      >
    </tr>
    <tr
      ><td>pH, acid it can give</td><td>{result.liquid.pH.toFixed(1)}, {result.liquid.available.toFixed(2)} mol H⁺/l</td
      ></tr
    >
    {#each fruits as fruit (fruit.id)}
      <tr><td>To squeeze</td><td>{fruit.likely} {LIQUID_WORDS[fruit.id]}, {fruit.enough} to be sure</td></tr>
    {/each}
    {#if settings.dark}<tr><td>Dark fish</td><td>binds about twice as much: slower</td></tr>{/if}
  </tbody>
</Table>

<style>
  .times {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.5rem 0;
  }
  td:first-child {
    width: 34%;
  }
</style>
