<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { RowDeed } from './deeds.ts';

  /** What is done in a row, without leaving it. */
  let {
    deed,
    piece,
    subject
  }: { deed: RowDeed; piece?: { readonly id: string; readonly seq: number }; subject: string } = $props();
  const named = $derived(piece && piece.seq > 0 ? piece : undefined);
</script>

{#if deed.kind === 'go'}
  <Button href={deed.path} tone="plain">{deed.label}</Button>
{:else if deed.kind === 'figure'}
  <div class="figure-row">
    <OperationForm
      operation={deed.operation}
      piece={named}
      subject={named?.id ?? subject}
      submit={deed.label}
      also={deed.also}
    >
      <Field
        name={deed.field}
        label={deed.word}
        kind="quantity"
        units={deed.of === 'mass' ? massUnits() : temperatureUnits()}
        optional={deed.optional ?? false}
      />
    </OperationForm>
  </div>
{:else}
  <OperationForm
    operation={deed.operation}
    piece={named}
    subject={named?.id ?? subject}
    submit={deed.label}
    also={deed.also}
    held={deed.kind === 'held'}
  />
{/if}

<style>
  /* A figure and its button stand in one line. */
  .figure-row :global(form) {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 0.4rem;
  }
  .figure-row :global(.field) {
    width: 9.5rem;
  }
  /* The row says what is read; who cannot see it hears the label. */
  .figure-row :global(.field > label) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
    white-space: nowrap;
  }
</style>
