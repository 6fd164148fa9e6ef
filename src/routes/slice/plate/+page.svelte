<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { togetherPage as t } from '$lib/words/screens/slice.ts';
  import PlateTogether from '$lib/ui/slice/PlateTogether.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>{titled(t.together)}</title></svelte:head>
<h1>{t.together}</h1>
{#if data.ready.length === 0}
  <section class="sheet stack">
    <p>{t.none}</p>
    <a class="way" href="/slice">{t.sliceSome}</a>
  </section>
{:else}
  <PlateTogether ready={data.ready} units={data.house.units} />
{/if}
