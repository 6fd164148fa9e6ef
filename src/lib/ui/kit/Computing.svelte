<script lang="ts">
  import { onMount } from 'svelte';
  import { common } from '$lib/words/screens/common.ts';

  /** Stands where a figure is being computed in the browser; says so only where it is. */
  let isRunning = $state(false);
  onMount(() => {
    isRunning = true;
  });
</script>

{#if isRunning}<p class="soft" role="status">{common.computing}</p>{:else}<noscript
    ><p class="soft">{common.needsScripts}</p></noscript
  >{/if}
