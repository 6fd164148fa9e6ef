<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  // A whole field brings what no row needs: this is on the first page there is.
  import { field as t } from '$lib/words/screens/controls.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { RowDeed } from './deeds.ts';

  /** What is done in a row, without leaving it. */
  let {
    deed,
    piece,
    subject
  }: { deed: RowDeed; piece?: { readonly id: string; readonly seq: number }; subject: string } = $props();
  const id = $props.id();
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
      <label class="unseen" for="{id}-figure">{deed.word}</label>
      <span class="pair">
        <Line class="w-20" id="{id}-figure" name={deed.field} inputmode="decimal" autocomplete="off" />
        <Select name="{deed.field}:unit" aria-label={t.unitOf(deed.word)}>
          {#each deed.of === 'mass' ? massUnits() : temperatureUnits() as unit (unit)}<option>{unit}</option>{/each}
        </Select>
      </span>
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
  .pair {
    display: flex;
  }
  .pair :global(input) {
    width: 6rem;
  }
  /* The kit's list takes what is left: its unit has to stay readable. */
  .pair :global(select) {
    flex: none;
    width: 5.4rem;
  }
</style>
