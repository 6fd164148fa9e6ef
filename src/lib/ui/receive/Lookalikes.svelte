<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { lookalikes as t } from '$lib/words/screens/receive.ts';
  import type { inspectView } from '$lib/server/views/inspection.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import FishMark from '../marks/FishMark.svelte';

  /** Look-alikes side by side: drawn marks, and the form that settles which one it is. */
  let { view }: { view: ReturnType<typeof inspectView> } = $props();
  let species = $state('');
  let marks = $state<string[]>([]);
  const left = $derived(view.candidates.map(({ id }) => id));
  const members = $derived(
    view.lookalikes
      .flatMap(({ members: each }) => each)
      .filter(
        ({ species: id }, index, all) =>
          (left.length === 0 || left.includes(id)) && all.findIndex((other) => other.species === id) === index
      )
  );
  const shown = $derived(members.find((member) => member.species === species));
  const title = (id: string) => view.candidates.find((each) => each.id === id)?.name ?? id.replaceAll('-', ' ');
  /** Candidates without a drawing can still be named, by the seller's paper. */
  const undrawn = $derived(view.candidates.filter(({ id }) => !members.some((member) => member.species === id)));
</script>

<section class="sheet">
  <h2>{t.whichOneIsIt}</h2>
  <OperationForm
    operation="identify-lot"
    subject={view.lot.id}
    seen={view.version}
    submit={t.thatIsWhatIt}
    also={{ lot: view.lot.id, marks: marks.join(',') }}
  >
    <div class="fish" role="radiogroup" aria-label={t.species}>
      {#each members as member (member.species)}
        <label>
          <input
            type="radio"
            name="species"
            value={member.species}
            bind:group={species}
            onchange={() => (marks = [])}
          />
          <FishMark drawing={member.drawing} />
          <b>{title(member.species)}</b>
          {#each member.marks as mark (mark)}<span translate="no">{mark}</span>{/each}
        </label>
      {/each}
      {#each undrawn as each (each.id)}
        <label>
          <input type="radio" name="species" value={each.id} bind:group={species} onchange={() => (marks = [])} />
          <b>{each.name}</b><span>{t.noDrawingHereBy}</span>
        </label>
      {/each}
    </div>
    {#if species}
      <fieldset>
        <legend>{t.whatWasSeen}</legend>
        {#each [...(shown?.marks ?? []), t.namedByAPaper] as mark (mark)}
          <label class="mark"
            ><input type="checkbox" value={mark.replaceAll(',', ' ')} bind:group={marks} />
            <span translate="no">{mark}</span></label
          >
        {/each}
      </fieldset>
      <Field name="note" label={common.note} optional />
    {/if}
  </OperationForm>
  <p class="soft">
    {t.aSkinlessFilletHas}
  </p>
</section>

<style>
  .sheet {
    margin: 0.6rem 0;
  }
  .fish {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 12.5rem), 1fr));
    gap: 0.6rem;
  }
  .fish label {
    position: relative;
    display: grid;
    align-content: start;
    gap: 0.1rem;
    padding: 0.6rem;
    border: 1px solid var(--line);
    border-radius: 3px;
    font-size: 0.92rem;
    min-height: 48px;
  }
  .fish input {
    position: absolute;
    inset: 0;
    opacity: 0;
    width: 100%;
    height: 100%;
  }
  .fish label:has(input:checked) {
    border: 3px solid var(--water-deep);
    padding: calc(0.6rem - 2px);
  }
  .fish label:has(input:focus-visible) {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  legend {
    font-weight: 600;
  }
  .mark {
    display: flex;
    gap: 0.6rem;
    align-items: center;
    min-height: 48px;
  }
  .mark input {
    width: 26px;
    height: 26px;
    border-color: var(--strong-line);
  }
</style>
