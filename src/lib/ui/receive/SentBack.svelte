<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { CREDITS } from '$lib/core/activity/receive/bodies.ts';
  import type { LotState } from '$lib/core/record/lot.ts';
  import { massUnits } from '$lib/ui/units.ts';
  import { CREDIT_WORDS, RETURN_WORDS as SAY } from '$lib/words/returns.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** The end of a lot that goes back to its seller: who took how much of it, and what credit was asked. */
  let {
    lot,
    back,
    currency
  }: {
    lot: LotState;
    back: { grams: number; stays: readonly { id: string; name: string }[] };
    currency: string;
  } = $props();
  const said = $derived(lot.handedBack);
  const off = $derived(said ? said.mass.si - back.grams : 0);
  const paid = $derived(
    lot.received.pricePerKg === null || back.grams < 1 ? null : lot.received.pricePerKg * back.grams * 0.1
  );
</script>

{#if said || lot.sentBack || back.grams >= 1 || back.stays.length > 0}
  <section class="sheet">
    {#if said}
      <h2>{SAY.went}, {say.dayAndTime(said.at)}</h2>
      <p>
        {SAY.of(say.mass(said.mass.si), said.to)}.
        {#if Math.abs(off) >= 1}
          {(off < 0 ? SAY.less : SAY.more)(say.mass(Math.abs(off)))}
        {/if}
        {SAY.credit}: {CREDIT_WORDS[said.credit].toLowerCase()}{said.amount === null
          ? ''
          : `, ${say.money(said.amount * 100, said.currency)}`}.
      </p>
      <p class="soft">{said.reason}{said.note === '' ? '' : ` · ${said.note}`}</p>
    {:else}
      <Fold open={lot.sentBack !== null} title={lot.sentBack ? SAY.went : SAY.title}>
        <p>{lot.sentBack ? SAY.waiting : SAY.lead}</p>
        <OperationForm operation="return-lot" subject={lot.id} submit={SAY.submit} also={{ lot: lot.id }}>
          <div class="fields broad">
            <Field
              name="mass"
              label={SAY.mass}
              kind="quantity"
              units={massUnits()}
              optional={back.grams >= 1}
              hint={back.grams < 1 ? '' : SAY.onRecord(say.mass(back.grams))}
            />
            <Field name="to" label={SAY.to} start={lot.received.supplier} />
            <Field
              name="credit"
              label={SAY.credit}
              kind="choice"
              start="asked"
              options={CREDITS.map((value) => ({ value, name: CREDIT_WORDS[value] }))}
            />
            <Field
              name="amount"
              label={SAY.amount(currency)}
              kind="number"
              optional
              hint={paid === null ? '' : SAY.paid(say.money(paid, currency))}
            />
            <Field name="reason" label={SAY.reason} start={lot.sentBack ? lot.decision.reason : ''} />
            <Field name="note" label={SAY.note} optional />
          </div>
        </OperationForm>
      </Fold>
    {/if}
    {#if back.stays.length > 0}
      <p class={lot.sentBack ? 'trouble' : 'soft'}>
        {lot.sentBack ? SAY.stays : SAY.wouldStay}
        {#each back.stays as piece (piece.id)}<a class="link" href="/piece/{piece.id}">{piece.name}, {piece.id}</a
          >&nbsp;{/each}
      </p>
    {/if}
  </section>
{/if}

<style>
  section {
    margin-bottom: 0.9rem;
  }
</style>
