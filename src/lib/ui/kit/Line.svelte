<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import type { HTMLInputAttributes } from 'svelte/elements';

  /** A line to type in, or a day or a time to pick. */
  let {
    value = $bindable(),
    class: own = '',
    ...rest
  }: Omit<HTMLInputAttributes, 'size' | 'value' | 'color' | 'children'> & { value?: string } = $props();
  const typed = $derived(rest as Record<string, unknown>);
</script>

<Input
  {...typed}
  bind:value
  class="min-h-12 rounded-[3px] border-(--strong-line) bg-(--surface) text-base font-normal text-(--ink) placeholder:text-(--soft) dark:border-(--strong-line) dark:bg-(--surface) dark:text-(--ink) {own}"
/>
