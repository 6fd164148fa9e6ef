<script lang="ts">
  import { onMount } from 'svelte';
  import { asTable as t } from '$lib/words/screens/charts.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  /** What a drawing shows, for those who read rather than look. Numbers stand at the right of their column. */
  let {
    head,
    rows,
    name = t.name,
    numbers = []
  }: {
    head: readonly string[];
    rows: readonly (readonly string[])[];
    name?: string;
    /** Columns, from 0 on, of numbers. */
    numbers?: readonly number[];
  } = $props();
  let open = $state(false);
  let isRunning = $state(false);
  onMount(() => (isRunning = true));
  // Before scripts run it is all there; from then on a closed one costs nothing while its drawing is dragged.
  const shown = $derived(open || !isRunning ? rows : []);
</script>

<Fold title={name} bind:open>
  <Table>
    <thead>
      <tr
        >{#each head as title, column (column)}<th class:number={numbers.includes(column)}>{title}</th>{/each}</tr
      >
    </thead>
    <tbody>
      {#each shown as row, index (index)}
        <tr>
          {#each row as text, column (column)}<td class:number={numbers.includes(column)}>{text}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </Table>
</Fold>

<style>
  .number {
    text-align: right;
  }
</style>
