<script lang="ts">
  import { Textarea } from 'flowbite-svelte';

  /** Several lines to type in. */
  let {
    value = $bindable(),
    ...rest
  }: { value?: string; name?: string; rows?: number; placeholder?: string; spellcheck?: boolean } = $props();
</script>

<Textarea
  {...rest}
  bind:value
  class="w-full rounded-[3px] border-(--strong-line) bg-(--surface) text-base font-normal text-(--ink) placeholder:text-(--soft) dark:border-(--strong-line) dark:bg-(--surface) dark:text-(--ink)"
/>
