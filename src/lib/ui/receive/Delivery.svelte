<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { delivery as t } from '$lib/words/screens/receive.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { DeliveryView } from '$lib/server/views/now.ts';
  import type { HouseState } from '$lib/core/record/house.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import WindowLine from '../marks/WindowLine.svelte';
  import { temperatureUnits } from '../units.ts';
  import { missingWord } from '$lib/words/scopes.ts';

  /** The delivery on the floor: its lots so far, or the form that opens one. */
  let {
    view,
    open,
    house,
    now
  }: {
    view: DeliveryView | null;
    open: readonly { code: string; supplier: string; at: number }[];
    house: Pick<HouseState, 'units' | 'zone' | 'warnMinutes'>;
    now: number;
  } = $props();
  const others = $derived(open.filter(({ code }) => code !== view?.delivery.code));
</script>

<section class="delivery">
  {#if view}
    <header>
      <h2>{t.deliveryFrom(view.delivery.supplier)}</h2>
      <p class="soft">
        {view.delivery.code}{view.delivery.reference ? t.note(view.delivery.reference) : ''} · {say.dayAndTime(
          view.delivery.at
        )}{view.delivery.vehicle ? t.vehicleAt(view.delivery.vehicle.typed) : ''}
      </p>
    </header>
    {#if view.lots.length > 0}
      <ol>
        {#each view.lots as lot (lot.id)}
          <li>
            <a class="name" href={lot.piece ? `/piece/${lot.piece}` : '/receive'}><b>{lot.name}</b> {lot.typed}</a>
            {#each lot.windows.filter(({ route }) => route === 'raw') as window (window.route)}
              <WindowLine {window} {now} warnSeconds={house.warnMinutes * 60} size={24} />
            {/each}
            <span class="soft"
              >{lot.missing.length > 0 && lot.decision.decision !== 'send-back'
                ? t.wants(missingWord(lot.missing[0]!))
                : ''}</span
            >
            <a class="act" href="/inspect/{lot.id}"
              >{lot.inspected ? t.inspected(lot.decision.decision.replaceAll('-', ' ')) : t.inspect}</a
            >
          </li>
        {/each}
      </ol>
    {:else}<p class="soft">{t.noLotYetFill}</p>{/if}
    {#if view.closed === null}
      <OperationForm
        operation="close-delivery"
        subject={view.delivery.code}
        seen={view.version}
        submit={t.thatWasAllOf}
        also={{ delivery: view.delivery.code }}
      ></OperationForm>
    {:else}<p class="soft">
        {t.closed(say.dayAndTime(view.closed))} <a class="link" href="/receive">{t.receiveSomethingElse}</a>
      </p>{/if}
  {:else}
    <Fold headClass="further" title={t.severalLotsInOne}>
      <OperationForm operation="open-delivery" submit={t.openTheDelivery}>
        <div class="fields broad">
          <Field name="supplier" label={t.supplier} />
          <Field name="reference" label={t.deliveryNote} optional />
          <Field name="vehicle" label={t.vehicleOrBoxAir} kind="quantity" units={temperatureUnits()} optional />
        </div>
      </OperationForm>
      <p><a class="link way" href="/receive/note">{t.takeInADelivery}</a></p>
    </Fold>
  {/if}
  {#if others.length > 0}
    <p class="open">
      {t.stillOpen}
      {#each others as each (each.code)}<a class="link way" href="/receive?delivery={each.code}"
          >{each.supplier}, {each.code}</a
        >&nbsp;{/each}
    </p>
  {/if}
</section>

<style>
  .delivery {
    display: grid;
    gap: 0.6rem;
    margin: 0.6rem 0 1rem;
    overflow-wrap: anywhere;
  }
  ol {
    display: grid;
    border-bottom: 1px solid var(--line);
  }
  li {
    display: grid;
    grid-template-columns: minmax(9rem, 1.3fr) 15rem minmax(0, 1fr) 14.5rem;
    gap: 0.3rem 0.9rem;
    align-items: center;
    border-top: 1px solid var(--line);
    min-height: 52px;
  }
  .name {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.4rem;
    align-items: center;
    min-height: 48px;
  }
  .act {
    min-height: 48px;
    display: grid;
    place-items: center;
    padding: 0 0.9rem;
    border: 1px solid var(--water);
    border-radius: 3px;
    background: var(--surface);
    font-weight: 600;
  }
  @media (max-width: 62.5em) {
    li {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
