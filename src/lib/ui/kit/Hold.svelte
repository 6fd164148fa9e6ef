<script lang="ts">
  import { hold as t } from '$lib/words/screens/controls.ts';
  import { onDestroy } from 'svelte';
  import Button from './Button.svelte';

  /**
   * A deed that has to be meant: held down for a second, by finger or by key. Whoever cannot hold (a screen reader's press) presses
   * twice.
   */
  let { label, disabled = false, onHeld }: { label: string; disabled?: boolean; onHeld: () => void } = $props();
  const HOLD_MS = 1000;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isHeld = $state(false);
  let isAsked = $state(false);
  let said = $state('');
  /** A press that came with no finger and no key down before it. */
  let wasDown = false;

  function down() {
    if (disabled || isHeld) return;
    wasDown = true;
    isHeld = true;
    said = '';
    timer = setTimeout(() => {
      isHeld = false;
      onHeld();
    }, HOLD_MS);
  }
  function up() {
    if (isHeld) said = t.holdIt;
    isHeld = false;
    clearTimeout(timer);
  }
  function press() {
    if (wasDown) {
      wasDown = false;
      return;
    }
    if (isAsked) {
      isAsked = false;
      onHeld();
    } else {
      isAsked = true;
      said = t.pressAgain;
    }
  }
  const isPress = (key: string) => key === 'Enter' || key === ' ';
  onDestroy(() => clearTimeout(timer));
</script>

<span class="hold" class:held={isHeld}>
  <Button
    type="button"
    {disabled}
    onpointerdown={down}
    onpointerup={up}
    onpointerleave={up}
    onpointercancel={up}
    onblur={up}
    oncontextmenu={(event: Event) => event.preventDefault()}
    onkeydown={(event: KeyboardEvent) => {
      if (!isPress(event.key)) return;
      event.preventDefault();
      if (!event.repeat) down();
    }}
    onkeyup={(event: KeyboardEvent) => {
      if (!isPress(event.key)) return;
      event.preventDefault();
      up();
      wasDown = false;
    }}
    onclick={press}
  >
    {label}
  </Button>
  <span role="status" class="soft">{said}</span>
</span>

<style>
  .hold {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.8rem;
    touch-action: manipulation;
    user-select: none;
  }
  .hold :global(button) {
    background-image: linear-gradient(var(--ember-wash), var(--ember-wash));
    background-repeat: no-repeat;
    background-size: 0 100%;
    border-color: var(--ember);
  }
  .held :global(button) {
    background-size: 100% 100%;
    transition: background-size 1s linear;
  }
</style>
