<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import type { ComponentProps, Snippet } from 'svelte';

  /** A table of the house. One that is wider than its place is moved under the finger. */
  let {
    least,
    fixed = false,
    class: own = '',
    children,
    ...rest
  }: Omit<ComponentProps<typeof Table>, 'children'> & {
    /** It is not squeezed below this. */
    least?: 'rows' | 'columns';
    /** Figures that change every frame do not push its columns about. */
    fixed?: boolean;
    children: Snippet;
  } = $props();
</script>

<Table
  {...rest}
  class="plain text-base text-(--ink) dark:text-(--ink) {least === 'rows'
    ? 'min-w-[40rem]'
    : least === 'columns'
      ? 'min-w-[50rem]'
      : ''} {fixed ? 'table-fixed' : ''} {own}"
>
  {@render children()}
</Table>
