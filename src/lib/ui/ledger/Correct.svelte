<script lang="ts">
  import { correct as t } from '$lib/words/screens/ledger.ts';
  import * as say from '$lib/words/say.ts';
  import { choiceWords } from '$lib/words/corrections.ts';
  import { fieldName } from '$lib/words/field-names.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import { speech } from '$lib/words/speech.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { correctable, patchOf, type CorrectableField } from '$lib/core/record/correctable.ts';
  import type { EventKind } from '$lib/core/record/events.ts';
  import { parseQuantity, type Typed } from '$lib/core/measure/parse.ts';
  import { unitsOffered, withUnit, written } from '$lib/core/fields/written.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { untrack } from 'svelte';

  /** An entry in a form like its own, the old beside the new. Only what is changed is sent. */
  let {
    entry,
    onDone
  }: {
    entry: { readonly seq: number; readonly kind: EventKind; readonly happened: number; readonly standing: object };
    onDone: (result: Record<string, unknown>) => void;
  } = $props();
  const body = $derived(entry.standing as Readonly<Record<string, unknown>>);
  const fields = $derived(correctable(entry.kind, body));
  /** What it says comes first; what was left empty stands behind a line. */
  const isSaid = (field: CorrectableField) => field.was !== null && field.was !== '';
  const said = $derived(fields.filter(isSaid));
  const empty = $derived(fields.filter((field) => !isSaid(field)));

  const start = (field: CorrectableField): [string, string] => {
    if (field.kind !== 'quantity') return [field.was, ''];
    const [first = ''] = unitsOffered({ of: field.of }, speech().units);
    return field.was ? written({ of: field.of }, field.was.si, speech().units) : ['', first];
  };
  const starts = untrack(() => Object.fromEntries(fields.map((field) => [field.name, start(field)])));
  let texts = $state(untrack(() => Object.fromEntries(fields.map(({ name }) => [name, starts[name]![0]]))));
  let units = $state(untrack(() => Object.fromEntries(fields.map(({ name }) => [name, starts[name]![1]]))));
  const isChanged = ({ name }: CorrectableField) =>
    texts[name] !== starts[name]![0] || (texts[name] !== '' && units[name] !== starts[name]![1]);

  /** What is changed, as the record takes it; or why it cannot be read. */
  const patch = $derived.by((): { readonly json: string; readonly trouble: string } => {
    try {
      const given = Object.fromEntries(
        fields.filter(isChanged).map((field): [string, Typed | string | null] => {
          const text = texts[field.name]!;
          if (field.kind !== 'quantity') return [field.name, text];
          if (text.trim() === '') return [field.name, null];
          return [field.name, parseQuantity(field.of, withUnit(text, units[field.name]), { field: field.name })];
        })
      );
      const change = patchOf(entry.kind, body, given);
      return { json: Object.keys(change).length > 0 ? JSON.stringify(change) : '', trouble: '' };
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      return { json: '', trouble: errorSentence(error.code, error.details) };
    }
  });
  const isAsked = $derived(answered()?.fields.ownWidening !== undefined);
  const wasText = (field: CorrectableField) =>
    field.kind === 'quantity'
      ? (field.was?.typed ?? t.nothing)
      : field.kind === 'choice'
        ? choiceWords(field.name, field.was)
        : field.kind === 'tick'
          ? field.was === 'on'
            ? t.yes
            : t.no
          : field.was || t.nothing;
</script>

{#snippet row(field: CorrectableField)}
  <div class="row" class:changed={isChanged(field)} data-part={field.name}>
    <p class="was"><span class="soft">{t.was}</span> {wasText(field)}</p>
    <Field
      name="_{field.name}"
      label={fieldName(field.name)}
      kind={field.kind}
      options={field.kind === 'choice'
        ? field.values.map((value) => ({ value, name: choiceWords(field.name, value) }))
        : []}
      units={field.kind === 'quantity' ? unitsOffered({ of: field.of }, speech().units) : []}
      bind:value={texts[field.name]}
      bind:unit={units[field.name]}
    />
  </div>
{/snippet}

<OperationForm
  operation="amend-entry"
  subject={String(entry.seq)}
  submit={t.addIt}
  {onDone}
  also={{ seq: entry.seq, patch: patch.json }}
>
  {#if said.length > 0}
    <div class="rows">
      {#each said as field (field.name)}{@render row(field)}{/each}
    </div>
  {/if}
  {#if empty.length > 0}
    <Fold title={t.whatItDoesNotSay}>
      <div class="rows">
        {#each empty as field (field.name)}{@render row(field)}{/each}
      </div>
    </Fold>
  {/if}
  {#if patch.trouble}<p class="wrong" role="alert">{patch.trouble}</p>{/if}
  <div class="rows">
    <div class="row">
      <p class="was"><span class="soft">{t.was}</span> {say.dayAndTime(entry.happened)}</p>
      <Field name="happened" label={t.itHappenedAt} kind="time" optional />
    </div>
    <Field name="reason" label={t.why} placeholder={t.misread} among={[t.misreadIt, t.wrongPiece, t.typedTwice]} />
  </div>
  <Field name="void" label={t.itDidNotHappen} kind="tick" />
  <p class="soft">{t.whoMayAndWhen}</p>
  {#if isAsked}<Field name="ownWidening" label={t.iStandForIt} kind="tick" />{/if}
</OperationForm>
<Fold title={t.theEntryAsStored}>
  <pre>{JSON.stringify(body, null, 1)}</pre>
</Fold>

<style>
  .rows {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 19rem), 1fr));
    gap: 0.6rem 1.4rem;
  }
  .row {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.2rem;
    align-content: start;
    border-left: 4px solid var(--line);
    padding-left: 0.6rem;
  }
  .changed {
    border-left-color: var(--ember-glow);
  }
  .changed .was {
    text-decoration: line-through;
  }
  .was {
    overflow-wrap: anywhere;
  }
  .wrong {
    color: var(--ember);
    font-weight: 600;
  }
  pre {
    font-size: 0.9rem;
    white-space: pre-wrap;
  }
</style>
