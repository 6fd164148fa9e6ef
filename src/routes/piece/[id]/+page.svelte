<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { pieceOnePage as t } from '$lib/words/screens/piece.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import type { Route } from '$lib/core/codes/window.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import Reasons from '$lib/ui/Reasons.svelte';
  import Clocks from '$lib/ui/piece/Clocks.svelte';
  import Compare from '$lib/ui/piece/Compare.svelte';
  import Exceptions from '$lib/ui/piece/Exceptions.svelte';
  import Papers from '$lib/ui/piece/Papers.svelte';
  import Hands from '$lib/ui/piece/Hands.svelte';
  import Life from '$lib/ui/piece/Life.svelte';
  import { BENCH_NAMES } from '$lib/words/screens/piece.ts';
  import { hindranceWords } from '$lib/words/occupation.ts';
  import Headline from '$lib/ui/piece/Headline.svelte';
  import { holdsBack } from '$lib/core/rules/headline.ts';
  import { HEADLINE_WORDS } from '$lib/words/headline.ts';
  import { namesOf } from '$lib/core/codes/allergens.ts';
  import { allergenWord, toldWords } from '$lib/words/notices.ts';
  import { kindWords } from '$lib/words/kinds.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const piece = $derived(view.piece);
  const lot = $derived(view.lot.received);
  const now = $derived(data.asked.at ? view.verdict.at : houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name])));
  const told = $derived(toldWords(namesOf(view.told)));
  const route = $derived(data.asked.want ?? view.wanted);
  function wantAs(each: Route): string {
    const asked = new URLSearchParams(page.url.searchParams);
    asked.set('want', each);
    return `?${asked}`;
  }
  const wantsPaper = $derived(holdsBack(view.verdict).length > 0);
</script>

<svelte:head><title>{titled(piece.made.name)}</title></svelte:head>
<div class="head">
  <div>
    <h1>{piece.made.name}</h1>
    <p class="soft">
      {piece.id} ·
      {#if view.lots.length > 1}{t.aBatchOf(view.kinds.join(' and '))}{:else if view.species}{view.species.name} (<i
          >{view.species.scientific[0]}</i
        >){:else}{t.notIdentified}{/if} ·
      {#if view.lots.length === 1}
        {t.from(lot.source, lot.farmSystem ? `, ${lot.farmSystem.replaceAll('-', ' ')}` : '', lot.supplier)}
      {/if}
      {#each view.lots as id (id)}<a class="link" href="/lot/{id}">{t.lot(id)}</a>&nbsp;{/each}
      {#if piece.place?.place}· {piece.place.place}{/if}
    </p>
    {#if view.onBoard}
      <p><a class="link way" href="/break?piece={piece.id}">{t.onTheBoardNow}</a></p>
    {/if}
    {#if view.ancestors.length > 0 || view.children.length > 0}
      <p class="soft">
        {#if piece.made.parents.length > 1}{t.putTogetherOf}
          {#each piece.made.parents as id (id)}<a class="link" href="/piece/{id}">{id}</a>&nbsp;
          {/each}›{:else}{#each view.ancestors as id (id)}<a class="link" href="/piece/{id}">{id}</a> ›
          {/each}{/if} <b>{piece.id}</b>
        {#if view.children.length > 0}› {#each view.children as id (id)}<a class="link" href="/piece/{id}">{id}</a
            >&nbsp;
          {/each}{/if}
      </p>
    {/if}
  </div>
  <p class="figure">{say.mass(piece.grams)} <small>{t.hereNow}</small></p>
</div>

{#if !piece.gone}
  <nav class="benches no-print" aria-label={t.benchesForThisPiece}>
    {#each view.benches as bench (bench.path)}
      <a
        class:first={bench.isNext}
        class:away={bench.hindrance !== null}
        title={bench.hindrance ? hindranceWords(bench.hindrance) : undefined}
        href={bench.path === '/inspect' ? `/inspect/${view.lot.id}` : `${bench.path}?piece=${piece.id}`}
        >{BENCH_NAMES[bench.path]}</a
      >
    {/each}
    <a href="/break/depth?piece={piece.id}">{t.depth}</a>
  </nav>
{/if}
<Life {view} {route} {now} warnSeconds={data.house.warnMinutes * 60} />
<Headline
  verdict={view.verdict}
  {route}
  {now}
  warnSeconds={data.house.warnMinutes * 60}
  roads={piece.gone || data.asked.at ? '' : `/piece/${piece.id}/roads?want=${route}`}
/>
{#if lot.purpose !== 'sale'}
  <p class="trouble notice">
    {t.takenInForIt(lot.purpose === 'training' ? t.staffTraining : t.theOwnTable)}
  </p>
{/if}
{#if view.species === null}
  <p class="trouble notice">
    {t.nobodyHasSettledWhat(view.candidates.map(({ name }) => name).join(', ') || t.anythingItMayBe)}
    <a class="link" href="/inspect/{view.lot.id}">{t.tellItByIts}</a>
  </p>
{/if}
{#each view.owned as owned (owned.seq)}
  <div class="trouble owned" data-owned={owned.seq}>
    <p>
      <b>{t.ownedException}</b>
      {t.on(names[owned.by] ?? owned.by, owned.what, say.dayAndTime(owned.at), owned.reason)}<a
        class="link"
        href="/ledger?seq={owned.seq}#e{owned.seq}">{t.entry(owned.seq)}</a
      >)
    </p>
    {#if owned.exception && !piece.gone}
      <Fold class="no-print" title={t.takeItBack}>
        <OperationForm operation="withdraw-exception" {piece} submit={t.takeItBack} also={{ exception: owned.seq }}>
          <Field name="reason" label={t.whyItIsTaken} />
        </OperationForm>
      </Fold>
    {/if}
  </div>
{/each}

<div class="halves">
  <section class="sheet">
    <h2>{t.itsWindows(data.asked.at ? t.at2(say.dayAndTime(view.verdict.at)) : '')}</h2>
    <div class="windows">
      {#each view.verdict.windows as window (window.route)}
        <a
          class="want"
          class:on={window.route === route}
          href={wantAs(window.route)}
          aria-current={window.route === route}
          data-sveltekit-noscroll
        >
          <WindowLine {window} {now} warnSeconds={data.house.warnMinutes * 60} size={34} />
        </a>
      {/each}
    </div>
    {#if piece.cures.length === 0 && view.verdict.windows.some(({ route, state }) => route === 'raw' && state === 'open')}
      <p class="soft small">{t.curedAcidAndSeared}</p>
    {/if}
    <Fold class="why" data-why title={HEADLINE_WORDS.inFull(view.verdict.reasons.length)}>
      <Reasons reasons={view.verdict.reasons} {names} />
    </Fold>
    <form method="GET" class="ask no-print">
      <label>{t.at} <Line type="datetime-local" name="at" value={data.asked.at} /></label>
      <label>{t.asKnownAt} <Line type="datetime-local" name="knownAt" value={data.asked.knownAt} /></label>
      <label>
        {t.under}
        <Select name="profile" value={data.asked.profile}>
          {#each data.profiles as profile (profile.id)}<option value={profile.id}>{profile.name}</option>{/each}
        </Select>
      </label>
      <Button type="submit">{t.ask}</Button>
    </form>
    <p class="soft small">
      {t.byTheRuleBook(data.profiles.find(({ id }) => id === data.asked.profile)?.name ?? '')}
    </p>
  </section>

  <div class="stack">
    <Papers {view} wanted={wantsPaper} />
    <Clocks clocks={view.clocks} {now} />
    {#if !piece.gone}<Hands {view} places={data.places} movable={data.movable} />{/if}
    <Exceptions {view} person={data.person?.name ?? null} />
    <section class="sheet">
      <h2>{t.toldWithItWhen}</h2>
      <p>
        {t.allergens(
          view.told.holds
            .map(({ allergen, duty }) => `${allergenWord(allergen)}${duty === 'advised' ? ' (advised)' : ''}`)
            .join(', ') || (told.ask ? '' : t.noneOfItsOwn)
        )}
        <span class="soft"
          ><cite>{view.told.holds[0]?.citation ?? ''}</cite>{view.told.holds[0]?.check ? t.check : ''}</span
        >
      </p>
      {#if told.mayHold}<p data-may-hold>{told.mayHold}.</p>{/if}
      {#if told.ask}<p data-ask><b>{told.ask}.</b></p>{/if}
      <p class="soft">{t.raw(view.notice)}</p>
    </section>
    <section class="sheet">
      <h2>{t.whatHappened}</h2>
      <Table>
        <tbody>
          {#each view.history as event (event.seq)}
            <tr>
              <td class="soft nowrap">{say.dayAndTime(event.happened)}</td>
              <td>{kindWords(event.kind)} <span class="soft">{event.subject.split(':')[1]}</span></td>
              <td><a class="link" href="/ledger?seq={event.seq}#e{event.seq}">{event.seq}</a></td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <p class="soft small">{t.knownHereSince(say.clockTime(piece.made.at), say.dayAndTime(piece.made.at))}</p>
    </section>
  </div>
</div>

<Compare compare={data.compare} {now} warnSeconds={data.house.warnMinutes * 60} />

<style>
  .head {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: start;
    flex-wrap: wrap;
    margin-bottom: 0.9rem;
    overflow-wrap: anywhere;
  }
  .head :global(a.link) {
    white-space: nowrap;
  }
  .owned,
  .notice {
    margin-bottom: 0.8rem;
  }
  .windows {
    display: grid;
    gap: 0.45rem;
    margin: 0.6rem 0 0.8rem;
    font-size: 1.25rem;
  }
  .want {
    display: flex;
    min-height: 48px;
    align-items: center;
    padding: 0 0.4rem;
    border-left: 3px solid transparent;
    color: inherit;
  }
  .want.on {
    border-left-color: var(--water);
    background: var(--sunk);
  }
  .benches {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    margin-top: 0.5rem;
  }
  .benches a {
    display: grid;
    place-items: center;
    flex: 1 1 5.6rem;
    min-width: 0;
    min-height: 48px;
    padding: 0 0.3rem;
    text-align: center;
    border: 1px solid var(--water);
    border-radius: 3px;
    font-weight: 600;
    background: var(--surface);
  }
  .benches .first {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--surface);
  }
  .benches .away {
    border: 1px dashed var(--strong-line);
    background: transparent;
    color: var(--soft);
    font-weight: 500;
  }
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    border-top: 1px solid var(--line);
    padding: 0.7rem 0;
  }
  .ask label {
    display: grid;
    font-size: 0.9rem;
    color: var(--soft);
  }
  .nowrap {
    white-space: nowrap;
  }
</style>
