<script lang="ts">
  import { beside as t } from '$lib/words/screens/controls.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { Snippet } from 'svelte';

  /** Another plan beside the first: what is set at the left, what comes of it at the right. */
  let {
    name,
    outcome,
    trouble,
    onclose,
    fields,
    children
  }: {
    name: string;
    /** What stands above what comes of it. */
    outcome: string;
    /** Why nothing comes of it. */
    trouble: string;
    onclose: () => void;
    fields: Snippet;
    children: Snippet;
  } = $props();
</script>

<div class="halves bench" data-comparing>
  <section class="sheet">
    <div class="title">
      <h2>{name}</h2>
      <Button onclick={onclose}>{t.leaveIt}</Button>
    </div>
    <div class="stack">{@render fields()}</div>
  </section>
  <section class="sheet">
    <h2>{outcome}</h2>
    {#if trouble}<p class="trouble" role="alert">{trouble}</p>{/if}
    {@render children()}
  </section>
</div>
