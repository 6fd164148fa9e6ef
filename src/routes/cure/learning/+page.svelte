<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import CureLearned from '$lib/ui/cure/CureLearned.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import { dayAndTime } from '$lib/ui/format.ts';
  import { SALT_TASTE_WORDS, SCHOOL_WORDS } from '$lib/words/cure.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const learning = $derived(data.learning);
  const zone = $derived(data.house.zone);
  const losses = $derived(learning.points.filter(({ what }) => what === 'loss'));
  const salts = $derived(learning.points.filter(({ what }) => what === 'salt'));
  const science = (value: number) => `${(value * 1e10).toFixed(1)}`;
  const share = (value: number) => `${(value * 100).toFixed(0)} %`;
  const off = (misses: { before: number; after: number } | null) =>
    misses ? `${misses.before.toFixed(1)} → ${misses.after.toFixed(1)} %` : 'not measured';
</script>

<svelte:head><title>What came out · Ember Tide</title></svelte:head>
<h1>What came out</h1>
<CureTabs />
{#if learning.points.length === 0}
  <section class="sheet">
    <p>
      No cure was weighed or measured at its end yet. Weigh each piece when it comes out, and put the salt meter in once
      in a while: two or three runs already move the forecast.
    </p>
    <p><a class="link" href="/cure">To the bench</a></p>
  </section>
{:else}
  <div class="cards">
    <section class="sheet">
      <h2>Weight lost</h2>
      {#if losses.length > 0}<CureLearned points={losses} what="Weight lost" />
      {:else}<p class="soft">Nothing was weighed at its end yet.</p>{/if}
    </section>
    <section class="sheet">
      <h2>Salt, by meter</h2>
      {#if salts.length > 0}<CureLearned points={salts} what="Salt" />
      {:else}<p class="soft">No salt meter was read yet: the forecast of salt leans on published ranges.</p>{/if}
    </section>
  </div>
{/if}
<section class="sheet">
  <h2>What it taught</h2>
  {#if learning.fits.length > 0}
    <Table data-fits>
      <thead>
        <tr>
          <th>Kind</th><th>Cures</th><th>Diffusivity at 4 °C, 10⁻¹⁰ m²/s</th><th>Most water drawn</th><th
            >Weight was off by</th
          >
          <th>Salt was off by</th>
        </tr>
      </thead>
      <tbody>
        {#each learning.fits as fit (fit.species + fit.fat)}
          <tr>
            <th scope="row">{fit.name} <span class="soft">({fit.fat})</span></th>
            <td>{fit.runs}</td>
            <td
              >{science(fit.parameters.diffusivity.likely)}
              <span class="soft"
                >{science(fit.parameters.diffusivity.low)} to {science(fit.parameters.diffusivity.high)}</span
              ></td
            >
            <td
              >{share(fit.parameters.mostLoss.likely)}
              <span class="soft">{share(fit.parameters.mostLoss.low)} to {share(fit.parameters.mostLoss.high)}</span
              ></td
            >
            <td>{off(fit.weightOff)}</td>
            <td>{off(fit.saltOff)}</td>
          </tr>
        {/each}
        <tr>
          <th scope="row">as shipped</th><td></td>
          <td
            >{science(learning.shipped.diffusivity.likely)}
            <span class="soft"
              >{science(learning.shipped.diffusivity.low)} to {science(learning.shipped.diffusivity.high)}</span
            ></td
          >
          <td
            >{share(learning.shipped.mostLoss.likely)}
            <span class="soft">{share(learning.shipped.mostLoss.low)} to {share(learning.shipped.mostLoss.high)}</span
            ></td
          >
          <td></td><td></td>
        </tr>
      </tbody>
    </Table>
  {/if}
  <p class="soft">
    Least squares on weights and meter readings, with the shipped range as what was believed before (Levenberg and
    Marquardt; the last {learning.most} cures). A species without cures of its own leans on its fat class, more widely. “Off
    by” is the root mean square before and after: weight in % of the raw weight, salt in % of the reading.
  </p>
  <OperationForm
    operation="set-learning"
    submit={learning.on ? 'Switch learning off' : 'Switch learning on'}
    tone="quiet"
    also={{ cure: !learning.on ? 'on' : undefined }}
  >
    <p data-learning={learning.on ? 'on' : 'off'}>
      {learning.on
        ? 'Forecasts lean on what this house weighed and measured.'
        : 'Switched off: forecasts use the shipped ranges.'}
    </p>
  </OperationForm>
</section>
{#if learning.points.length > 0}
  <Fold class="sheet" title="Every finished cure">
    <Table>
      <thead
        ><tr
          ><th>Ended</th><th>Piece</th><th>School</th><th>What</th><th>Forecast</th><th>Measured</th><th>Tasted</th></tr
        ></thead
      >
      <tbody>
        {#each learning.points as point (`${point.seq} ${point.what}`)}
          <tr>
            <td class="soft">{dayAndTime(point.ended, zone)}</td>
            <td><a class="link" href="/piece/{point.piece}">{point.name}</a></td>
            <td>{SCHOOL_WORDS[point.method as School].name}</td>
            <td>{point.what === 'loss' ? 'weight lost' : 'salt'}</td>
            <td
              >{point.forecast.likely.toFixed(1)} %
              <span class="soft">({point.forecast.low.toFixed(1)} to {point.forecast.high.toFixed(1)})</span></td
            >
            <td><b>{point.measured.toFixed(1)} %</b></td>
            <td class="soft"
              >{SALT_TASTE_WORDS[point.saltTaste as keyof typeof SALT_TASTE_WORDS]}{point.taste
                ? `, ${point.taste} of 5`
                : ''}</td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  </Fold>
{/if}
<p class="caution">
  A meter and a scale say what was in these pieces, not what is in the next. Guidance only: your local code and licensed
  practice decide.
</p>

<style>
  section {
    margin-bottom: 0.9rem;
  }
</style>
