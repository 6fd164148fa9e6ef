<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import BookFile from '$lib/ui/book/BookFile.svelte';
  import BookList from '$lib/ui/book/BookList.svelte';
  import DishForm from '$lib/ui/serve/DishForm.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const GROUPS = [{ id: 'dish', name: 'On the card' }];
</script>

<svelte:head><title>Dishes · Ember Tide</title></svelte:head>
<h1>Dishes</h1>
<ServeTabs />
{#if data.dishes.length === 0}
  <p class="soft empty">
    No dish is written yet. A dish is a name and what comes on one portion: fish, sauces, cures, ingredients.
  </p>
{/if}
<BookList pages={data.dishes} groups={GROUPS} path="/serve/dishes" />
<Fold class="sheet" open={data.dishes.length === 0} title="Write a new dish">
  <DishForm />
</Fold>
<BookFile list="dishes" path="/serve/dishes" />
<p class="caution">
  What a dish holds is added up from its sauces, cures and the <a class="link" href="/house/ingredients"
    >list of ingredients</a
  >; the fish comes to that when it is served. Guidance only: your local code and licensed practice decide.
</p>

<style>
  .empty {
    margin: 0.7rem 0;
  }
</style>
