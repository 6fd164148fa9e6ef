<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import ScalePanel from '$lib/ui/devices/ScalePanel.svelte';
  import { formatMass } from '$lib/ui/format.ts';
  import { massUnits } from '$lib/ui/units.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { partWord, USE_WORDS, WASTE_WORDS } from '$lib/words/cuts.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** The part that was touched, and the scale: a weight makes it a piece, or waste. */
  let {
    view,
    units,
    chosen,
    playable
  }: { view: BoardView; units: UnitPreferences; chosen: string | null; playable: boolean } = $props();
  const part = $derived(view.parts.find(({ id }) => id === chosen) ?? null);
  const asWaste = $derived(
    part !== null && (page.url.searchParams.get('as') ?? (part.use === '' ? 'waste' : 'piece')) === 'waste'
  );
  const as = (what: string) => {
    const url = new URL(page.url);
    url.searchParams.set('as', what);
    return url.pathname + url.search;
  };
  let mass = $state('');
  let unit = $state<string>();
  let box = $state<HTMLElement>();
  const refused = $derived((page.form as { fields?: Record<string, unknown> } | null)?.fields?.mass !== undefined);

  function take(grams: number) {
    mass = String(grams);
    unit = 'g';
    // The field has to hold the figure before the form is sent.
    setTimeout(() => box?.querySelector<HTMLFormElement>('form[data-operation]')?.requestSubmit(), 0);
  }
  function done() {
    mass = '';
    const url = new URL(page.url);
    url.searchParams.delete('part');
    url.searchParams.delete('as');
    void goto(url.pathname + url.search, { noScroll: true, keepFocus: true });
  }
</script>

<section class="sheet" bind:this={box}>
  <h2>On the scale</h2>
  <ScalePanel {units} {playable} onTake={part ? take : null} />
  {#if !part}
    <p class="soft ask">Touch a part of the fish, or its name, then weigh it.</p>
    {#key view.wastes.length}
      <OperationForm operation="weigh-waste" piece={view.piece} submit="Weigh it as waste" also={{ sure: 'on' }}>
        <div class="fields">
          <Field
            name="what"
            label="Drip, or other waste"
            kind="choice"
            value="drip"
            options={Object.entries(WASTE_WORDS).map(([value, name]) => ({ value, name }))}
          />
          <Field name="mass" label="Weight" kind="quantity" units={massUnits(units)} />
        </div>
      </OperationForm>
    {/key}
  {:else}
    <p class="part">
      <b>{partWord(part)}</b>
      <span class="soft">
        usually {formatMass(part.expected.low, units)} to {formatMass(part.expected.high, units)} of this
      </span>
    </p>
    <p class="as" role="group" aria-label="What becomes of it">
      <a href={as('piece')} aria-current={asWaste ? undefined : 'true'} data-sveltekit-noscroll data-sveltekit-keepfocus
        >A piece</a
      >
      <a href={as('waste')} aria-current={asWaste ? 'true' : undefined} data-sveltekit-noscroll data-sveltekit-keepfocus
        >Waste</a
      >
    </p>
    {#key `${part.id} ${asWaste}`}
      {#if asWaste}
        <OperationForm operation="weigh-waste" piece={view.piece} submit="Weigh it as waste" onDone={done}>
          <div class="fields">
            <Field name="mass" label="Weight" kind="quantity" units={massUnits(units)} bind:value={mass} bind:unit />
            <Field
              name="what"
              label="What it is"
              kind="choice"
              value={part.waste ?? 'other'}
              options={Object.entries(WASTE_WORDS).map(([value, name]) => ({ value, name }))}
            />
          </div>
          {#if refused}<Field name="sure" label="It really weighs that" kind="tick" />{/if}
        </OperationForm>
      {:else}
        <OperationForm
          operation="take-part"
          piece={view.piece}
          submit="It becomes a piece"
          tone="ember"
          onDone={done}
          also={{ part: part.id }}
        >
          <div class="fields">
            <Field name="mass" label="Weight" kind="quantity" units={massUnits(units)} bind:value={mass} bind:unit />
            <Field
              name="use"
              label="Its use"
              kind="choice"
              value={part.use || 'other'}
              options={Object.entries(USE_WORDS)
                .filter(([value]) => value !== '')
                .map(([value, name]) => ({ value, name }))}
            />
          </div>
          <Fold title="More about it">
            <div class="fields">
              <Field name="name" label="Its own name" optional />
              <Field
                name="grade"
                label="Grade"
                kind="choice"
                value={part.grade}
                options={{ prime: 'first grade: bears the cost', 'by-product': 'by-product: at its own value' }}
              />
            </div>
          </Fold>
          {#if refused}<Field name="sure" label="It really weighs that" kind="tick" />{/if}
        </OperationForm>
      {/if}
    {/key}
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: 0.7rem;
    grid-template-columns: minmax(0, 1fr);
  }
  .part b {
    font-size: 1.35rem;
    color: var(--ember);
    margin-right: 0.4rem;
  }
</style>
