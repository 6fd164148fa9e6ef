<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { inspectOnePage as t } from '$lib/words/screens/inspect.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Guide from '$lib/ui/marks/Guide.svelte';
  import Lookalikes from '$lib/ui/receive/Lookalikes.svelte';
  import { DECISION_OPTIONS } from '$lib/words/receive.ts';
  import type { Inspection } from '$lib/core/inspect/score.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const lot = $derived(view.lot.received);
  const name = $derived(view.candidates.map((each) => each.name).join(' or ') || t.unidentifiedFish);
  let levels = $state<Record<string, string>>({});
  let decision = $state('accept');
  let touched = $state(false);
  let seen = $state.raw<{ score: Inspection; iceDays: number; recommended: string; rawShare: number } | null>(null);
  const answered = $derived(view.sheet.attributes.filter(({ id }) => levels[id]).length);
  const decisions = Object.entries(DECISION_OPTIONS).map(([value, name]) => ({ value, name }));
  const decisionName = (value: string) => DECISION_OPTIONS[value as keyof typeof DECISION_OPTIONS] ?? value;
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));

  let turn = 0;
  $effect(() => {
    const asked = new URLSearchParams({ lot: view.lot.id, sheet: view.sheet.id });
    for (const [id, level] of Object.entries(levels)) if (level) asked.set(`level-${id}`, level);
    if (answered === 0) return;
    const mine = ++turn;
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/inspection?${asked}`);
      if (!answer.ok || mine !== turn) return;
      seen = await answer.json();
      // The sheet proposes until the person has decided.
      const isWhole = view.sheet.attributes.every(({ id, optional }) => optional || levels[id]);
      if (!touched && seen && isWhole) decision = seen.recommended;
    }, 120);
    return () => clearTimeout(timer);
  });
  const share = (days: number) => Math.min(1, Math.max(0, days / (seen?.iceDays ?? 1)));
</script>

<svelte:head><title>{titled(t.inspect(name))}</title></svelte:head>
<h1>{t.inspect2(name)}</h1>
<p class="soft">
  {t.from(view.lot.id, lot.form, lot.mass.typed, lot.supplier)}
  {#if view.piece}· <a class="link" href="/piece/{view.piece}">{t.thePiece}</a>{/if}
  {#if lot.delivery}· <a class="link" href="/receive?delivery={lot.delivery}">{t.delivery(lot.delivery)}</a>{/if}
</p>
{#if !view.settled}
  <Lookalikes {view} />
{/if}
<nav class="sheets no-print" aria-label={t.sheet}>
  {#each view.sheets as sheet (sheet.id)}
    <a href="/inspect/{view.lot.id}?sheet={sheet.id}" aria-current={sheet.id === view.sheet.id ? 'true' : undefined}
      >{sheet.name}</a
    >
  {/each}
</nav>

{#key view.sheet.id}
  <OperationForm
    operation="inspect-lot"
    subject={`${view.lot.id}:${view.sheet.id}`}
    seen={view.version}
    submit={t.writeTheInspectionDown}
    tone="ember"
    onDone={() => {
      levels = {};
      touched = false;
      seen = null;
    }}
    also={{ lot: view.lot.id, sheet: view.sheet.id }}
  >
    <div class="halves main">
      <div class="attributes">
        {#each view.sheet.attributes as attribute (attribute.id)}
          <fieldset>
            <legend
              >{attribute.name}
              <span class="soft">{attribute.weight > 0 ? t.weight(attribute.weight) : t.notCountedAsDays}</span></legend
            >
            {#each attribute.levels as level, index (index)}
              <label class="level">
                <input
                  type="radio"
                  name="level-{attribute.id}"
                  value={String(index)}
                  bind:group={levels[attribute.id]}
                />
                <Guide drawing={attribute.guide} level={index} />
                <span translate="no">{level.text}</span>
                {#if level.settles}<small>{level.settles === 'send-back' ? t.endsItSendBack : t.endsRawUse}</small>{/if}
              </label>
            {/each}
            <label class="level unseen-level">
              <input type="radio" name="level-{attribute.id}" value="unseen" bind:group={levels[attribute.id]} />
              <span>{t.couldNotSee}</span>
            </label>
          </fieldset>
        {/each}
      </div>
      <aside class="sheet" aria-live="polite">
        <h2>{t.whatTheSheetSays}</h2>
        {#if seen}
          <p class="figure">
            {say.exactly(seen.score.iceDays.likely, 1)} <small>{t.ofDaysOnIce(seen.iceDays)}</small>
          </p>
          <p class="soft">
            {t.likelyToDOf(
              say.exactly(seen.score.iceDays.low, 1),
              say.exactly(seen.score.iceDays.high, 1),
              seen.score.points,
              seen.score.most,
              answered,
              view.sheet.attributes.length
            )}
          </p>
          <svg viewBox="0 0 400 34" preserveAspectRatio="none" aria-hidden="true">
            <rect class="vessel" y="8" width="400" height="18" />
            <rect
              class="band"
              y="8"
              height="18"
              x={400 * share(seen.score.iceDays.low)}
              width={400 * (share(seen.score.iceDays.high) - share(seen.score.iceDays.low))}
            />
            <rect class="here" y="4" width="3" height="26" x={400 * share(seen.score.iceDays.likely) - 1.5} />
            <rect class="end" y="0" width="2" height="34" x={400 * seen.rawShare} />
          </svg>
          <p class="soft small">{t.theEmberLineEnds(Math.round(seen.rawShare * 100))}</p>
          <p class="recommend" data-recommended={seen.recommended}>
            {t.itRecommends} <b>{decisionName(seen.recommended)}</b>
          </p>
        {:else}<p class="soft">
            {t.touchWhatYouSee}
          </p>{/if}
        <fieldset class="decide">
          <legend>{t.youDecide}</legend>
          {#each decisions as option (option.value)}
            <label
              ><input
                type="radio"
                name="decision"
                value={option.value}
                bind:group={decision}
                onchange={() => (touched = true)}
              />
              {option.name}</label
            >
          {/each}
        </fieldset>
        <Field
          name="reason"
          label={common.reason}
          kind="long"
          among={[t.freezeFirst, t.softFlesh, t.smellsOff]}
          optional={decision === 'accept' && seen?.recommended === 'accept'}
        />
        <Field name="own" label={t.iAnswerForBeing} kind="tick" />
        <p class="caution">{t.aScoreIsNo}</p>
      </aside>
    </div>
  </OperationForm>
{/key}
{#if view.supplierBlocks.length > 0}
  <section class="sheet before">
    <h2>{t.blocksFrom(lot.supplier)}</h2>
    <Table>
      <thead><tr><th>{t.came}</th><th>{t.lot}</th><th>{t.grade}</th><th>{t.aKilogram}</th></tr></thead>
      <tbody>
        {#each view.supplierBlocks as block (block.lot)}
          <tr>
            <td>{say.dayAndTime(block.at)}</td>
            <td><a class="link" href="/lot/{block.lot}">{block.lot}</a></td>
            <td>{block.grade}</td>
            <td>{block.pricePerKg === null ? t.noPrice : `${say.exactly(block.pricePerKg, 2)} ${block.currency}`}</td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </section>
{/if}
{#if view.lot.inspections.length > 0}
  <section class="sheet before">
    <h2>{t.inspectedBefore}</h2>
    {#each view.lot.inspections as sheet (sheet.seq)}
      <p>
        {t.daysOnIceBy(
          say.dayAndTime(sheet.at),
          names[sheet.by] ?? sheet.by,
          say.exactly(sheet.iceDays.likely, 1),
          decisionName(sheet.decision).toLowerCase(),
          sheet.decision === sheet.recommended ? '' : t.theSheetSaid(decisionName(sheet.recommended).toLowerCase()),
          sheet.reason ? `: ${sheet.reason}` : ''
        )}
        <a class="link" href="/ledger?seq={sheet.seq}#e{sheet.seq}">{t.entry(sheet.seq)}</a>
      </p>
    {/each}
  </section>
{/if}

<style>
  .sheets {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    margin: 0.6rem 0;
  }
  .sheets a {
    min-height: 44px;
    display: grid;
    place-items: center;
    color: var(--soft);
  }
  .sheets a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    border-bottom: 3px solid var(--water);
  }
  .attributes {
    display: grid;
    gap: 0.8rem;
  }
  .attributes fieldset {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr)) minmax(0, 0.62fr);
    gap: 0.4rem;
  }
  legend {
    font-weight: 700;
    padding-bottom: 0.2rem;
  }
  legend .soft {
    font-weight: 400;
    font-size: 0.9rem;
  }
  .level {
    position: relative;
    display: grid;
    justify-items: center;
    align-content: start;
    gap: 0.15rem;
    min-height: 84px;
    padding: 0.4rem;
    text-align: center;
    font-size: 0.92rem;
    line-height: 1.2;
    background: var(--surface);
    border: 1px solid var(--line);
    border-radius: 3px;
    cursor: pointer;
  }
  .level input {
    position: absolute;
    inset: 0;
    opacity: 0;
    width: 100%;
    height: 100%;
    cursor: pointer;
  }
  .level:has(input:checked) {
    border: 3px solid var(--water-deep);
    padding: calc(0.4rem - 2px);
    background: var(--water-pale);
  }
  .level:has(input:focus-visible) {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .level small {
    color: var(--ember);
    font-weight: 600;
  }
  .unseen-level {
    align-content: center;
    border-style: dashed;
    color: var(--soft);
  }
  aside {
    position: sticky;
    top: 1rem;
    display: grid;
    gap: 0.5rem;
  }
  aside svg {
    width: 100%;
    height: 34px;
  }
  .vessel {
    fill: var(--sunk);
  }
  .band {
    fill: var(--water);
    fill-opacity: 0.55;
  }
  .here {
    fill: var(--ink);
  }
  .end {
    fill: var(--ember);
  }
  .recommend {
    font-size: 1.15rem;
  }
  .decide label {
    display: flex;
    gap: 0.6rem;
    align-items: center;
    min-height: 48px;
  }
  .decide input {
    width: 24px;
    height: 24px;
  }
  .before {
    margin-top: 1rem;
  }
  @media (max-width: 62.5em) {
    aside {
      position: static;
    }
  }
  @media (max-width: 38.75em) {
    .attributes fieldset {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
</style>
