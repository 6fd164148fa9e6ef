<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { cureLearningPage as t } from '$lib/words/screens/cure.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import CureLearned from '$lib/ui/cure/CureLearned.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import { SALT_TASTE_WORDS } from '$lib/words/cure.ts';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const learning = $derived(data.learning);
  const losses = $derived(learning.points.filter(({ what }) => what === 'loss'));
  const salts = $derived(learning.points.filter(({ what }) => what === 'salt'));
  const pace = (value: number) => say.exactly(value / learning.shipped.diffusivity.likely, 2);
  const share = (value: number) => `${say.exactly(value * 100, 0)} %`;
  const off = (misses: { before: number; after: number } | null) =>
    misses ? `${say.exactly(misses.before, 1)} → ${say.exactly(misses.after, 1)} %` : t.notMeasured;
</script>

<svelte:head><title>{titled(t.whatCameOut)}</title></svelte:head>
<h1>{t.whatCameOut}</h1>
<CureTabs />
{#if learning.points.length === 0}
  <section class="sheet">
    <p>
      {t.noCureWasWeighed}
    </p>
    <p><a class="link way" href="/cure">{t.toTheBench}</a></p>
  </section>
{:else}
  <div class="cards">
    <section class="sheet">
      <h2>{t.weightLost}</h2>
      {#if losses.length > 0}<CureLearned points={losses} what="Weight lost" />
      {:else}<p class="soft">{t.nothingWasWeighedAt}</p>{/if}
    </section>
    <section class="sheet">
      <h2>{t.saltByMeter}</h2>
      {#if salts.length > 0}<CureLearned points={salts} what="Salt" />
      {:else}<p class="soft">{t.noSaltMeterWas}</p>{/if}
    </section>
  </div>
{/if}
<section class="sheet">
  <h2>{t.whatItTaught}</h2>
  {#if learning.fits.length > 0}
    <Table data-fits>
      <thead>
        <tr>
          <th>{common.kind}</th><th>{t.cures}</th><th>{t.paceOfSalt}</th><th>{t.mostWaterDrawn}</th><th
            >{t.weightWasOffBy}</th
          >
          <th>{t.saltWasOffBy}</th>
        </tr>
      </thead>
      <tbody>
        {#each learning.fits as fit (fit.species + fit.fat)}
          <tr>
            <th scope="row">{fit.name} <span class="soft">({t.fat[fit.fat]})</span></th>
            <td>{fit.runs}</td>
            <td
              >{pace(fit.parameters.diffusivity.likely)}
              <span class="soft"
                >{t.to(pace(fit.parameters.diffusivity.low), pace(fit.parameters.diffusivity.high))}</span
              ></td
            >
            <td
              >{share(fit.parameters.mostLoss.likely)}
              <span class="soft">{t.to2(share(fit.parameters.mostLoss.low), share(fit.parameters.mostLoss.high))}</span
              ></td
            >
            <td>{off(fit.weightOff)}</td>
            <td>{off(fit.saltOff)}</td>
          </tr>
        {/each}
        <tr>
          <th scope="row">{t.asShipped}</th><td></td>
          <td
            >{pace(learning.shipped.diffusivity.likely)}
            <span class="soft"
              >{t.to(pace(learning.shipped.diffusivity.low), pace(learning.shipped.diffusivity.high))}</span
            ></td
          >
          <td
            >{share(learning.shipped.mostLoss.likely)}
            <span class="soft"
              >{t.to2(share(learning.shipped.mostLoss.low), share(learning.shipped.mostLoss.high))}</span
            ></td
          >
          <td></td><td></td>
        </tr>
      </tbody>
    </Table>
  {/if}
  <p class="soft">
    {t.leastSquaresOnWeights(learning.most)}
  </p>
  <OperationForm
    operation="set-learning"
    submit={learning.on ? t.switchLearningOff : t.switchLearningOn}
    tone="quiet"
    also={{ cure: !learning.on ? 'on' : undefined }}
  >
    <p data-learning={learning.on ? 'on' : 'off'}>
      {learning.on ? t.forecastsLeanOnWhat : t.switchedOffForecastsUse}
    </p>
  </OperationForm>
</section>
{#if learning.points.length > 0}
  <Fold class="sheet" title={t.everyFinishedCure}>
    <Table>
      <thead
        ><tr
          ><th>{t.ended}</th><th>{common.piece}</th><th>{common.school}</th><th>{common.what}</th><th>{t.forecast}</th
          ><th>{t.measured}</th><th>{t.tasted}</th></tr
        ></thead
      >
      <tbody>
        {#each learning.points as point (`${point.seq} ${point.what}`)}
          <tr>
            <td class="soft">{say.dayAndTime(point.ended)}</td>
            <td><a class="link" href="/piece/{point.piece}">{point.name}</a></td>
            <td>{CURE_NAMES[point.method as School].name}</td>
            <td>{point.what === 'loss' ? t.weightLost2 : t.salt}</td>
            <td
              >{say.exactly(point.forecast.likely, 1)} %
              <span class="soft">{t.to3(say.exactly(point.forecast.low, 1), say.exactly(point.forecast.high, 1))}</span
              ></td
            >
            <td><b>{say.exactly(point.measured, 1)} %</b></td>
            <td class="soft"
              >{SALT_TASTE_WORDS[point.saltTaste as keyof typeof SALT_TASTE_WORDS]}{point.taste
                ? t.of(point.taste)
                : ''}</td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  </Fold>
{/if}
<p class="caution">
  {t.aMeterAndA}
</p>

<style>
  section {
    margin-bottom: 0.9rem;
  }
</style>
