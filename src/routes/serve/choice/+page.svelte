<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { choicePage as t } from '$lib/words/screens/serve.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PartyForm from '$lib/ui/serve/PartyForm.svelte';
  import PartyTable from '$lib/ui/serve/PartyTable.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const { parties, dishes } = $derived(data.choice);
  const now = $derived(houseNow());
</script>

<svelte:head><title>{titled(t.cooksChoice)}</title></svelte:head>
<h1>{t.cooksChoice}</h1>
<ServeTabs />
{#if dishes.length === 0}
  <section class="sheet stack">
    <p>{t.noDishes}</p>
    <a class="way" href="/serve/dishes">{t.toDishes}</a>
  </section>
{:else if parties.length === 0}
  <p class="soft none">{t.none}</p>
{/if}
{#each parties as party (party.id)}
  <section class="sheet stack" aria-labelledby="party-{party.id}" data-party={party.id}>
    <PartyTable {party} {now} />
    <Fold title={t.change}>
      <PartyForm {dishes} {party} />
    </Fold>
    <OperationForm
      operation="close-party"
      subject={`close ${party.id}`}
      submit={t.close}
      tone="quiet"
      held={party.next.length > 0}
      also={{ party: party.id }}
    />
  </section>
{/each}
{#if dishes.length > 0}
  <Fold class="sheet" open={parties.length === 0} title={t.newParty}>
    <PartyForm {dishes} />
  </Fold>
{/if}
<p class="caution">{t.caution}</p>

<style>
  .none {
    margin: 0.7rem 0;
  }
</style>
