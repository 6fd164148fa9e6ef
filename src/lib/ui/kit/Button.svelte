<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { ComponentProps } from 'svelte';

  /**
   * A button of the house: plain, in ember for the deed the eye is on, deep for an ordinary deed, quiet for what is seldom
   * wanted. One that says `aria-pressed` shows whether it is.
   */
  let {
    tone = 'plain',
    class: own = '',
    children,
    ...rest
  }: ComponentProps<typeof Button> & { tone?: 'plain' | 'ember' | 'deep' | 'quiet' } = $props();

  const TONES = {
    plain:
      'border border-(--strong-line) bg-(--surface) hover:bg-(--sunk) text-(--ink) dark:bg-(--surface) dark:hover:bg-(--sunk) dark:text-(--ink)',
    ember:
      'border border-(--ember) bg-(--ember) hover:bg-(--ember) text-(--on-ember) dark:bg-(--ember) dark:hover:bg-(--ember)',
    deep: 'border border-primary-700 bg-primary-700 hover:bg-primary-800 text-white',
    quiet:
      'border border-transparent bg-transparent hover:bg-(--sunk) text-(--water-deep) underline underline-offset-3 dark:bg-transparent dark:hover:bg-(--sunk)'
  } as const;
</script>

<Button
  {...rest}
  class="min-h-12 min-w-12 gap-2 justify-self-start rounded-[3px] px-4 py-1 text-base font-semibold focus-within:ring-0 aria-pressed:border-(--ink) aria-pressed:bg-(--ink) aria-pressed:text-(--surface) disabled:cursor-not-allowed disabled:border-dashed disabled:border-(--strong-line) disabled:bg-(--sunk) disabled:text-(--soft) disabled:opacity-100 {TONES[
    tone
  ]} {own}"
>
  {@render children?.()}
</Button>
