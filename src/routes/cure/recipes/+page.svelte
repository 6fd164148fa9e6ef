<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { cureRecipesPage as t } from '$lib/words/screens/cure.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { SCHOOL_IDS } from '$lib/core/activity/cure/lists.ts';
  import BookFile from '$lib/ui/book/BookFile.svelte';
  import BookList from '$lib/ui/book/BookList.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import RecipeForm from '$lib/ui/cure/RecipeForm.svelte';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const groups = SCHOOL_IDS.map((id) => ({ id, name: CURE_NAMES[id].name }));
</script>

<svelte:head><title>{titled(t.recipeBook)}</title></svelte:head>
<h1>{t.recipeBook}</h1>
<CureTabs />
<BookList pages={data.recipes} {groups} path="/cure/recipes" />
<Fold class="sheet" title={t.writeANewRecipe}>
  <RecipeForm />
</Fold>
<BookFile list="recipes" path="/cure/recipes" />
<p class="caution">
  {t.ratiosAreStartingPoints}
</p>
