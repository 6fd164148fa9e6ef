<script lang="ts">
  import { Select } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  /** Something to choose from: the browser's own list, so that it is sent before scripts run. */
  let {
    value = $bindable(),
    class: own = '',
    children,
    ...rest
  }: {
    value?: string | null;
    class?: string;
    id?: string;
    name?: string;
    disabled?: boolean;
    'aria-label'?: string;
    onchange?: (event: Event & { currentTarget: HTMLSelectElement }) => void;
    children: Snippet;
  } = $props();
</script>

<Select
  {...rest}
  bind:value
  placeholder=""
  class="w-auto {own}"
  classes={{
    select:
      'min-h-12 w-full rounded-[3px] border-(--strong-line) bg-(--surface) py-1 text-base font-normal text-(--ink) dark:border-(--strong-line) dark:bg-(--surface) dark:text-(--ink)'
  }}
>
  {@render children()}
</Select>
