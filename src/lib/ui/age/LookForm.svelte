<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { lookForm as t } from '$lib/words/screens/age.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import { LOOK_FIELDS, LOOKS, type LookField } from '$lib/core/activity/age/lists.ts';
  import type { RackedPiece } from '$lib/server/views/rack.ts';
  import { answerWords, LOOK_FIELD_WORDS } from '$lib/words/age.ts';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { tick } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** The daily look: five answers at a touch each. Nothing is answered before somebody has looked. */
  let { piece }: { piece: RackedPiece } = $props();
  let answers = $state<Partial<Record<LookField, string>>>({});
  const refusal = $derived(answered());
  const wrong = $derived(refusal?.operation === 'look-aged' ? refusal.fields : {});
  let fineButton = $state<HTMLElement>();
  /** What it says is written as it is said: a look that only stands on the page was no look. */
  async function fine() {
    answers = Object.fromEntries(LOOK_FIELDS.map((field) => [field, LOOKS[field][0]]));
    await tick();
    fineButton?.closest('form')?.requestSubmit();
  }
</script>

<OperationForm operation="look-aged" {piece} submit={t.writeTheLookDown} onDone={() => (answers = {})}>
  <span bind:this={fineButton}><Button data-fine onclick={() => void fine()}>{t.lookedSmeltAndFelt}</Button></span>
  {#each LOOK_FIELDS as field (field)}
    <fieldset role="radiogroup" aria-invalid={wrong[field] ? 'true' : undefined} tabindex="-1">
      <legend>{LOOK_FIELD_WORDS[field]}</legend>
      <div class="answers">
        {#each LOOKS[field] as answer (answer)}
          <label>
            <input
              type="radio"
              name={field}
              value={answer}
              checked={answers[field] === answer}
              onchange={() => (answers[field] = answer)}
            />
            {answerWords(field, answer)}
          </label>
        {/each}
      </div>
      {#if wrong[field]}<p class="wrong">{wrong[field].message}</p>{/if}
    </fieldset>
  {/each}
  <Field name="note" label={common.note} optional />
</OperationForm>

<style>
  fieldset {
    border-top: 1px solid var(--line);
    padding-top: 0.3rem;
  }
  legend {
    font-weight: 600;
    padding-right: 0.5rem;
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.9rem;
  }
  .answers label {
    display: flex;
    align-items: center;
    gap: 0.45rem;
    min-height: 48px;
  }
  .answers input {
    width: 26px;
    height: 26px;
  }
  .wrong {
    color: var(--ember);
    font-weight: 600;
  }
</style>
