<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { acidSaucesPage as t } from '$lib/words/screens/acid.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { SAUCE_KINDS } from '$lib/core/activity/acid/sauce-body.ts';
  import AcidTabs from '$lib/ui/acid/AcidTabs.svelte';
  import SauceForm from '$lib/ui/acid/SauceForm.svelte';
  import { SAUCE_KIND_WORDS } from '$lib/words/acid.ts';
  import BookFile from '$lib/ui/book/BookFile.svelte';
  import BookList from '$lib/ui/book/BookList.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const groups = SAUCE_KINDS.map((id) => ({ id, name: SAUCE_KIND_WORDS[id] }));
</script>

<svelte:head><title>{titled(t.sauces)}</title></svelte:head>
<h1>{t.saucesAndDressings}</h1>
<AcidTabs />
<BookList pages={data.sauces} {groups} path="/acid/sauces" />
<Fold class="sheet" title={t.writeANewSauce}>
  <SauceForm />
</Fold>
<BookFile list="sauces" path="/acid/sauces" />
<p class="caution">
  {t.ratiosAreStartingPoints} <a class="link" href="/house/ingredients">{t.listOfIngredients}</a>{t.aMakersLabelGoes}
</p>
