<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { serveDishesPage as t } from '$lib/words/screens/serve.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import BookFile from '$lib/ui/book/BookFile.svelte';
  import BookList from '$lib/ui/book/BookList.svelte';
  import DishForm from '$lib/ui/serve/DishForm.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const GROUPS = [{ id: 'dish', name: t.onTheCard }];
</script>

<svelte:head><title>{titled(t.dishes)}</title></svelte:head>
<h1>{t.dishes}</h1>
<ServeTabs />
{#if data.dishes.length === 0}
  <p class="soft empty">
    {t.noDishIsWritten}
  </p>
{/if}
<BookList pages={data.dishes} groups={GROUPS} path="/serve/dishes" />
<Fold class="sheet" open={data.dishes.length === 0} title={t.writeANewDish}>
  <DishForm />
</Fold>
<BookFile list="dishes" path="/serve/dishes" />
<p class="caution">
  {t.whatADishHolds} <a class="link" href="/house/ingredients">{t.listOfIngredients}</a>{t.theFishComesTo}
</p>

<style>
  .empty {
    margin: 0.7rem 0;
  }
</style>
