<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { receivePage as t } from '$lib/words/screens/receive.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Delivery from '$lib/ui/receive/Delivery.svelte';
  import LotForm from '$lib/ui/receive/LotForm.svelte';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import Reasons from '$lib/ui/Reasons.svelte';
  import type { Verdict } from '$lib/core/rules/verdict.ts';
  import { untrack } from 'svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let verdict = $state.raw<Verdict | null>(untrack(() => data.verdict));
  const open = $derived(data.delivery !== null && data.delivery.closed === null);
  const count = $derived(data.delivery?.lots.length ?? 0);
</script>

<svelte:head><title>{titled(t.receiveALot)}</title></svelte:head>
<div class="title">
  <h1>{open ? t.receiveLot(count + 1) : t.receiveALot}</h1>
</div>
<Delivery view={data.delivery} open={data.openDeliveries} house={data.house} now={houseNow()} />
{#if verdict}
  <div class="strip" aria-hidden="true">
    {#each verdict.windows as window (window.route)}
      <WindowLine {window} now={houseNow()} warnSeconds={data.house.warnMinutes * 60} size={22} />
    {/each}
  </div>
{/if}
{#if data.delivery === null || open}
  <div class="halves main">
    {#key `${data.delivery?.delivery.code ?? ''}:${count}`}
      <LotForm
        catalogue={data.catalogue}
        profile={data.profile}
        house={data.house}
        given={data.given}
        delivery={open ? data.delivery!.delivery.code : ''}
        supplier={open ? data.delivery!.delivery.supplier : ''}
        suppliers={data.suppliers}
        today={data.today}
        bind:verdict
      />
    {/key}
    <aside class="sheet" aria-live="polite">
      <h2>{t.theVerdictSoFar}</h2>
      {#if verdict}
        <div class="windows">
          {#each verdict.windows as window (window.route)}
            <WindowLine {window} now={houseNow()} warnSeconds={data.house.warnMinutes * 60} />
          {/each}
        </div>
        <p class="soft small">{t.underPapersAreAttached(data.profile.name)}</p>
        <Reasons reasons={verdict.reasons.filter(({ effect }) => effect.kind !== 'pass')} />
      {:else}
        <p class="soft">{t.nameTheSpeciesAnd}</p>
      {/if}
      <p class="caution">{t.spinesAndGillPlates}</p>
    </aside>
  </div>
{/if}

<style>
  /* On a tablet held upright the windows stay in sight above the form, the reasons come below it. */
  .strip {
    display: none;
    flex-wrap: wrap;
    gap: 0.2rem 1.1rem;
    position: sticky;
    top: 0;
    z-index: 2;
    padding: 0.5rem 0;
    background-color: var(--ground);
    border-bottom: 1px solid var(--line);
  }
  .windows {
    display: grid;
    gap: 0.3rem;
    margin: 0.6rem 0;
    font-size: 1.1rem;
  }
  aside {
    position: sticky;
    top: 1rem;
  }
  .caution {
    margin-top: 0.8rem;
  }
  @media (max-width: 62.5em) {
    aside {
      position: static;
    }
    .strip {
      display: flex;
    }
  }
</style>
