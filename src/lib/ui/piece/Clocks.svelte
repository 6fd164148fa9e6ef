<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { clocks as t } from '$lib/words/screens/piece.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { warmCause } from '$lib/words/findings.ts';

  /** What the clocks of a piece have used and have left, drawn as water run out of a vessel. */
  let { clocks, now }: { clocks: PieceView['clocks']; now: number } = $props();
  const days = (value: number) => say.exactly(value, 1);
  const share = (used: number, all: number) => Math.min(1, all > 0 ? used / all : 1);
  const BASIS: Record<string, string> = {
    catch: t.fromItsCatch,
    inspection: t.byItsInspection,
    both: t.byCatchOrInspection,
    door: t.fromTheDoorThe
  };
  const STAGES: Record<string, string> = {
    before: t.beforeStiffness,
    setting: t.stiffnessSettingIn,
    stiff: t.stiffCutLaterOr,
    passing: t.stiffnessPassing,
    past: t.pastStiffness
  };
</script>

{#snippet vessel(spent: number, mark: number | null = null)}
  <svg viewBox="0 0 400 20" preserveAspectRatio="none" aria-hidden="true">
    <rect class="vessel" width="400" height="20" />
    <rect class="left" x={400 * spent} width={400 * (1 - spent)} height="20" />
    {#if mark !== null}<rect class="mark" x={400 * mark - 1} width="2" height="20" />{/if}
  </svg>
{/snippet}
<section class="sheet">
  <h2>{t.itsClocks}</h2>
  {#if clocks.freshness}
    {@const fresh = clocks.freshness}
    <div class="clock" data-clock="freshness">
      <p>
        <b>{t.daysOnIce}</b>{t.ofSpentLeftFor(
          days(fresh.spent),
          days(fresh.iceDays),
          days(Math.max(0, fresh.iceDays * fresh.share - fresh.spent))
        )} <span class="soft">({BASIS[fresh.basis]})</span>
      </p>
      {@render vessel(share(fresh.spent, fresh.iceDays), fresh.share)}
      <p class="soft small">
        {t.theUprightLineEnds(
          fresh.rawUntil ? `, ${say.moment(fresh.rawUntil, now)}` : '',
          fresh.until ? say.moment(fresh.until, now) : t.whenItIsOut
        )}
      </p>
    </div>
  {:else}<p class="soft">{t.frozenBeforeItCame}</p>{/if}
  {#if clocks.warm}
    {@const { spentSeconds, budgetSeconds, isHot, readBy, spells } = clocks.warm}
    <div class="clock" data-clock="warm">
      <p>
        <b>{t.timeInTheWarm}</b>{t.ofSpentLeft(
          say.span(spentSeconds),
          say.span(budgetSeconds),
          say.span(Math.max(0, budgetSeconds - spentSeconds))
        )}
      </p>
      <svg viewBox="0 0 400 20" preserveAspectRatio="none" aria-hidden="true">
        <rect class="vessel" width="400" height="20" />
        <rect
          class="left"
          x={400 * share(spentSeconds, budgetSeconds)}
          width={400 * (1 - share(spentSeconds, budgetSeconds))}
          height="20"
        />
      </svg>
      {#if spells.length > 0}
        <Fold title={t.whenAndWhere}>
          <ul class="where">
            {#each spells as spell, index (index)}
              <li>
                {t.to(
                  say.moment(spell.from, now),
                  say.moment(spell.to, now),
                  warmCause(spell.cause),
                  say.span((spell.to - spell.from) / 1000)
                )}
              </li>
            {/each}
          </ul>
        </Fold>
      {/if}
      <p class="soft small">
        {#if isHot}{t.someOfItWas(say.temperature(21.1))}
        {/if}{t.coldGivesNoneOf}{#if readBy !== null}
          {t.readItOrIts(say.moment(readBy, now))}{/if}
      </p>
    </div>
  {/if}
  {#if clocks.histamine}
    {@const warm = clocks.histamine}
    <div class="clock" data-clock="histamine">
      <p>
        <b>{t.histamineHours}</b>{t.ofSpentLeft(
          say.span(warm.spentSeconds),
          say.span(warm.budgetSeconds),
          say.span(Math.max(0, warm.budgetSeconds - warm.spentSeconds))
        )}
      </p>
      {@render vessel(share(warm.spentSeconds, warm.budgetSeconds))}
      <p class="soft small">
        {t.aboveNothingGivesThem(say.temperature(4.4))}
      </p>
    </div>
  {/if}
  {#if clocks.where.length > 0}
    <div class="clock" data-clock="where">
      <p><b>{t.whereItLay}</b></p>
      <ul class="where">
        {#each clocks.where.slice(0, 6) as stay (stay.seq + stay.from)}
          <li>
            {t.to2(stay.place, say.moment(stay.from, now), stay.to === null ? 'now' : say.moment(stay.to, now))}
            {#if stay.log}
              <b>{say.temperature(stay.log.mean)}</b>
              {t.onAverageUpTo(say.temperature(stay.log.peak), say.span(stay.log.seconds))}
            {:else}<span class="soft">{t.noLogAnAssumed(say.temperature(2))}</span>{/if}
          </li>
        {/each}
      </ul>
    </div>
  {:else}
    <p class="soft small" data-clock="where">
      {t.nobodyHasSaidWhere(say.temperature(2))}
    </p>
  {/if}
  {#if clocks.rigor}
    {@const { guide, hours, stage } = clocks.rigor}
    <p class="small" data-clock="rigor">
      <b>{t.stiffness}</b>{t.aGuideByHow(
        guide.onset[0],
        guide.onset[1],
        guide.through[0],
        guide.through[1]
      )}{#if stage && hours !== null}{t.atHNowLikely(
          Math.round(hours),
          STAGES[stage] ?? ''
        )}{:else}{t.theHourOfDeath}{/if}.
    </p>
  {/if}
</section>

<style>
  .clock {
    display: grid;
    gap: 0.25rem;
    margin-top: 0.5rem;
  }
  svg {
    width: 100%;
    height: 20px;
  }
  .where {
    display: grid;
    gap: 0.2rem;
    font-size: 0.95rem;
  }
  .vessel {
    fill: var(--sunk);
    stroke: var(--line);
  }
  .left {
    fill: var(--water);
  }
  .mark {
    fill: var(--ember);
  }
</style>
