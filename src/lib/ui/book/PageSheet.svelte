<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { pageSheet as t } from '$lib/words/screens/book.ts';
  import type { Snippet } from 'svelte';

  /** The layout of a page of the book: itself, what stands beside it, and below both its next version. */
  let {
    page,
    version,
    kind,
    goodFor,
    tabs,
    children,
    side,
    next,
    caution
  }: {
    page: { readonly name: string; readonly version: number; readonly withdrawn: boolean };
    /** The version that is read here. */
    version: number;
    kind: string;
    goodFor: string;
    tabs: Snippet;
    children: Snippet;
    side: Snippet;
    next: Snippet;
    caution: string;
  } = $props();
</script>

<svelte:head><title>{titled(page.name)}</title></svelte:head>
<h1>{page.name}</h1>
{@render tabs()}
<p class="soft">
  {t.version(kind, version, version === page.version ? '' : t.of(page.version))}
  {#if goodFor}{t.forText(goodFor)}{/if}
  {#if page.withdrawn}· <b>{t.takenOutOfThe}</b>{/if}
</p>

<div class="halves main">
  <section class="sheet">{@render children()}</section>
  <div class="stack">{@render side()}</div>
</div>
{@render next()}
<p class="caution">{caution}</p>

<style>
  section :global(.told) {
    margin-top: 0.6rem;
    font-weight: 600;
  }
  .caution {
    margin-top: 0.9rem;
  }
  h1,
  .halves :global(td) {
    overflow-wrap: anywhere;
  }
  .halves :global(ol) {
    list-style: decimal;
    padding-left: 1.4rem;
    margin: 0.5rem 0;
  }
</style>
