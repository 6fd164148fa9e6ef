<script lang="ts">
  import { legible } from './legible.ts';
  import type { Snippet } from 'svelte';
  import type { SVGAttributes } from 'svelte/elements';
  import AsTable from './AsTable.svelte';

  /** A chart's frame: its drawing with what it says for those who do not see it, what stands under it, and its figures as a table. */
  let {
    width,
    height,
    says,
    table,
    caption,
    children,
    ...rest
  }: SVGAttributes<SVGSVGElement> & {
    width: number;
    height: number;
    says: string;
    table?: {
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly name?: string;
      readonly numbers?: readonly number[];
    };
    caption?: Snippet;
    children: Snippet;
  } = $props();
</script>

<figure>
  <svg {@attach legible} class="chart" viewBox="0 0 {width} {height}" role="img" aria-label={says} {...rest}
    >{@render children()}</svg
  >
  {#if caption}<figcaption>{@render caption()}</figcaption>{/if}
  {#if table}<AsTable {...table} />{/if}
</figure>
