<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLDetailsAttributes } from 'svelte/elements';

  /** A line that opens to what stands behind it. The browser's own, so that it opens before scripts do. */
  let {
    title = '',
    head,
    headClass = '',
    open = $bindable(false),
    element = $bindable(),
    children,
    ...rest
  }: Omit<HTMLDetailsAttributes, 'title' | 'open'> & {
    title?: string;
    /** Instead of the title, where it is more than words. */
    head?: Snippet;
    headClass?: string;
    open?: boolean | undefined;
    /** The element itself, for who wants to bring it into sight. */
    element?: HTMLElement;
    children: Snippet;
  } = $props();
</script>

<details {...rest} bind:open bind:this={element}>
  <summary class={headClass}
    >{#if head}{@render head()}{:else}{title}{/if}</summary
  >
  {@render children()}
</details>
