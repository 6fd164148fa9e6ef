<script lang="ts">
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

<svelte:head><title>Sauces · Ember Tide</title></svelte:head>
<h1>Sauces and dressings</h1>
<AcidTabs />
<BookList pages={data.sauces} {groups} path="/acid/sauces" />
<Fold class="sheet" title="Write a new sauce">
  <SauceForm />
</Fold>
<BookFile list="sauces" path="/acid/sauces" />
<p class="caution">
  Ratios are starting points, to be tasted. What a line holds is added up from the <a
    class="link"
    href="/house/ingredients">list of ingredients</a
  >; a maker’s label goes before it. Guidance only: your local code and licensed practice decide.
</p>
