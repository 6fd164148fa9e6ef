<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { passPage as t } from '$lib/words/screens/serve.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import DishKey from '$lib/ui/serve/DishKey.svelte';
  import TrayRing from '$lib/ui/serve/TrayRing.svelte';
  import Touches from '$lib/ui/serve/Touches.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import * as say from '$lib/words/say.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const pass = $derived(data.pass);
  const now = $derived(houseNow());
  // What is out stands behind what is there; else the card keeps its order, and no key moves under a finger.
  const on = $derived(
    pass.dishes
      .filter(({ off }) => !off)
      .sort((a, b) => Number(a.plates + a.instead === 0) - Number(b.plates + b.instead === 0))
  );
  const off = $derived(pass.dishes.filter(({ off: isOff }) => isOff));
</script>

<svelte:head><title>{titled(t.thePass)}</title></svelte:head>
<h1>{t.thePass}</h1>
<ServeTabs />
<Touches />
{#if pass.dishes.length === 0}
  <section class="sheet stack">
    <p>{t.none}</p>
    <a class="way" href="/serve/dishes">{t.toDishes}</a>
  </section>
{/if}
<ul class="keys" aria-label={t.tonight}>
  {#each on as dish (dish.id)}
    <li><DishKey {dish} {now} warnMs={data.house.warnMinutes * 60_000} /></li>
  {/each}
</ul>
{#if pass.trays.length > 0}
  <section aria-labelledby="trays">
    <h2 id="trays">{t.traysOut}</h2>
    <ul class="keys">
      {#each pass.trays as tray (tray.label)}
        <li><TrayRing {tray} {now} warnMs={data.house.warnMinutes * 60_000} /></li>
      {/each}
    </ul>
  </section>
{/if}
{#if pass.lately.length > 0}
  <section class="sheet stack" aria-labelledby="lately">
    <h2 id="lately">{t.lately}</h2>
    <ul>
      {#each pass.lately as plate (plate.entries.join())}
        <li class="plate" data-plate={plate.entries.join()}>
          <span>{t.plateThen(say.clockTime(plate.at), plate.dish, say.mass(plate.grams))}</span>
          <OperationForm
            operation="take-plate-back"
            subject={plate.entries.join()}
            submit={t.takeBack}
            also={{ entries: plate.entries.join() }}
          />
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if off.length > 0 || on.length > 0}
  <Fold class="sheet" open={off.length > 0} title={t.offTonight(off.length)}>
    <ul>
      {#each [...off, ...on] as dish (dish.id)}
        <li class="plate" data-off={dish.off ? 'yes' : 'no'}>
          <span>{dish.name}</span>
          <OperationForm
            operation="set-dish-off"
            subject={`off ${dish.id}`}
            submit={dish.off ? t.onAgain : t.takeOff}
            also={{ dish: dish.id, on: dish.off }}
          />
        </li>
      {/each}
    </ul>
  </Fold>
{/if}
{#if pass.unready.length > 0}
  <Fold class="sheet" title={t.unready(pass.unready.length)}>
    <p class="soft">{t.unreadyWhy}</p>
    <ul>
      {#each pass.unready as { id, name } (id)}<li><a class="way" href="/serve/dishes/{id}">{name}</a></li>{/each}
    </ul>
  </Fold>
{/if}

<style>
  .keys {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 17rem), 1fr));
    gap: 0.7rem;
    margin: 0.7rem 0;
  }
  .plate {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
    justify-content: space-between;
    padding: 0.2rem 0;
  }
</style>
