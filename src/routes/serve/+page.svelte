<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { servePage as t } from '$lib/words/screens/serve.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { namesOf } from '$lib/core/codes/allergens.ts';
  import { CARD_WORDS, disclosure, TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import WithOthers from '$lib/ui/controls/WithOthers.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import ScalePanel from '$lib/ui/devices/ScalePanel.svelte';
  import Services from '$lib/ui/serve/Services.svelte';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { stateAt } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const now = $derived(houseNow());
  const warn = $derived(data.house.warnMinutes * 60);
  const open = $derived(
    view?.verdict.windows
      .filter((window) => ['open', 'ebbing'].includes(stateAt(window, now, warn)))
      .map(({ route }) => route) ?? []
  );
  const hold = $derived(view?.piece.holds.at(-1) ?? null);
  let route = $state('');
  let dish = $state('');
  let others = $state<string[]>([]);
  let mass = $state('');
  let massUnit = $state<string>();
  /** Slices lifted from the pan since the last plate. */
  let lifts = $state({ count: 0, grams: 0 });
  function lift(grams: number) {
    lifts = { count: lifts.count + 1, grams: lifts.grams + grams };
    [mass, massUnit] = [String(lifts.grams), 'g'];
  }
  // A choice shows its first where none was made: the card says the same.
  const servedAs = $derived(open.find((each) => each === route) ?? open[0]);
  const onCard = $derived(view && servedAs ? disclosure(dish, view.card.kind, servedAs, view.card.raw) : '');
</script>

<svelte:head><title>{titled(t.serve)}</title></svelte:head>
<h1>{t.serve}</h1>
<ServeTabs />
{#if data.trays.length > 0}
  <section aria-labelledby="trays">
    <h2 id="trays" class="unseen">{t.traysOutOfThe}</h2>
    <ul class="trays">
      {#each data.trays as tray (tray.id)}
        {@const left = (tray.to ?? now) - now}
        <li class:late={left < 0} class:soon={left < warn * 1000}>
          <a href="/serve?piece={tray.id}">
            <span class="left">{left < 0 ? t.discardIt : say.away(tray.to ?? now, now)}</span>
            <span>
              <b>{tray.label}</b><br />
              <span class="what">{t.discardAt(tray.name, say.mass(tray.grams), say.clockTime(tray.to ?? now))}</span>
            </span>
          </a>
        </li>
      {/each}
    </ul>
  </section>
{/if}
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingToServeYet} />
{#if view}
  <div class="halves">
    <section class="sheet">
      <div class="title">
        <h2>{view.piece.made.name}</h2>
        <p class="figure">{say.mass(view.piece.grams)} <small>{t.left}</small></p>
      </div>
      <div class="windows">
        {#each view.verdict.windows as window (window.route)}
          <WindowLine {window} {now} warnSeconds={warn} />
        {/each}
      </div>
      <p><a class="link way" href="/piece/{view.piece.id}">{t.whyAndItsPapers}</a></p>
      {#if hold}
        <p class="soft">
          {t.outOfTheCold(
            say.clockTime(hold.at),
            say.temperature(hold.plan.startCore.si),
            say.clockTime(hold.plan.discardAt)
          )}
        </p>
        {#if hold.plan.control === '6h'}
          <OperationForm operation="read-hold" piece={view.piece} submit={common.writeItDown}>
            <Field name="reading" label={t.trayReads} kind="quantity" units={temperatureUnits()} />
          </OperationForm>
        {/if}
      {/if}
    </section>
    <div class="stack">
      <section class="sheet">
        <h2>{t.serveFromIt}</h2>
        {#if view.lot.received.purpose !== 'sale'}
          <p class="trouble">
            {t.takenInForIt(view.lot.received.purpose === 'training' ? t.staffTraining : t.theOwnTable)}
          </p>
        {:else if open.length === 0}
          <p>{t.noRouteIsOpen}</p>
        {:else}
          {#if data.scale}
            <ScalePanel onTake={null} playable={data.playable} onLift={lift} />
            {#if lifts.count > 0}<p role="status" data-lifted>{t.lifted(lifts.count, say.mass(lifts.grams))}</p>{/if}
          {/if}
          <OperationForm
            operation="serve-piece"
            piece={view.piece}
            submit={t.served}
            tone="ember"
            onDone={() => {
              lifts = { count: 0, grams: 0 };
              mass = '';
            }}
            all={t.serveAll(say.mass(view.piece.grams))}
          >
            <div class="fields">
              <Field
                name="route"
                label={t.as}
                kind="choice"
                bind:value={route}
                options={open.map((route) => ({ value: route, name: ROUTE_WORDS[route] }))}
              />
              <Field
                name="mass"
                label={t.howMuch}
                kind="quantity"
                units={massUnits()}
                bind:value={mass}
                bind:unit={massUnit}
              />
              <Field name="dish" label={t.dish} optional bind:value={dish} />
            </div>
            <Field name="susceptible" label={t.forAGuestWho} kind="tick" />
          </OperationForm>
          <p class="told" data-allergens>
            {TOLD_WORDS.tell}
            {toldLine(namesOf(view.told))}. {TOLD_WORDS.dishToo}
          </p>
          {#if onCard}
            <p data-card><b>{CARD_WORDS.onCard}</b> {onCard}</p>
            <p class="soft">{view.notice}</p>
          {:else}<p class="soft" data-card>{CARD_WORDS.none}</p>{/if}
          <p class="caution">{t.notRawForGuests}</p>
        {/if}
      </section>
      {#if !hold && open.length > 0 && view.lot.received.purpose === 'sale'}
        <Fold class="sheet" title={t.putItOutUnder}>
          <OperationForm
            operation="start-hold"
            piece={view.piece}
            submit={t.startItsClock}
            all={t.allOnATray(say.mass(view.piece.grams))}
          >
            <div class="fields">
              {#if view.piece.lifted?.gramsEach}
                <Field name="count" label={t.slices} kind="number" hint={t.orGrams} optional />
              {/if}
              <Field name="mass" label={t.howMuch} kind="quantity" units={massUnits()} optional />
              <Field name="label" label={t.tray} placeholder={t.counterTrayLeft} among={data.labels} />
              <Field
                name="control"
                label={t.clock}
                kind="choice"
                start="4h"
                options={data.controls.map(({ id, seconds, ceiling, rule }) => ({
                  value: id,
                  name: `${say.span(seconds)}${ceiling ? t.neverAbove(say.temperature(ceiling.c)) : ''} (${rule})`
                }))}
              />
              <Field name="startCore" label={t.coreNow} kind="quantity" units={temperatureUnits()} />
            </div>
          </OperationForm>
        </Fold>
      {/if}
      <Fold class="sheet" open={hold !== null} title={t.discard}>
        <OperationForm
          operation="discard-piece"
          piece={view.piece}
          submit={t.binIt}
          all={others.length > 0 ? t.binAllOf(others.length + 1) : t.binAll(say.mass(view.piece.grams))}
          also={{ others: others.join(',') }}
          onDone={() => (others = [])}
        >
          <div class="fields">
            <Field
              name="reason"
              label={common.reason}
              placeholder={t.timeIsUpTrim}
              among={[t.timeIsUp, t.dropped, t.trim]}
            />
            {#if others.length === 0}
              <Field name="mass" label={t.howMuch} kind="quantity" units={massUnits()} />
            {/if}
          </div>
          <WithOthers pieces={data.pieces.filter(({ id }) => id !== view.piece.id)} bind:picked={others} />
        </OperationForm>
      </Fold>
    </div>
  </div>
{/if}
<Services services={data.services} />

<style>
  .trays {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 18.75rem), 1fr));
    gap: 0.6rem;
    margin: 0.6rem 0 1rem;
  }
  .trays a {
    display: flex;
    gap: 1rem;
    align-items: center;
    padding: 0.6rem 0.9rem;
    min-height: 72px;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 6px solid var(--water);
  }
  .trays .soon a {
    background: var(--ember-wash);
    border-left-color: var(--ember-glow);
  }
  .trays .late a {
    background: var(--ember);
    color: var(--on-ember);
  }
  .left {
    font-size: 1.75rem;
    font-weight: 650;
    line-height: 1.1;
    flex: none;
    max-width: 9rem;
  }
  .soon:not(.late) .left {
    color: var(--ember);
  }
  .windows {
    display: grid;
    gap: 0.35rem;
    margin: 0.5rem 0;
    font-size: 1.15rem;
  }
  .caution {
    margin-top: 0.7rem;
  }
</style>
