<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { formatDuration } from '$lib/core/measure/format.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { formatTemperature, moment } from '../format.ts';
  import { warmCause } from '$lib/words/findings.ts';

  /** What the clocks of a piece have used and have left, drawn as water run out of a vessel. */
  let { clocks, now, zone, units }: { clocks: PieceView['clocks']; now: number; zone: string; units: UnitPreferences } =
    $props();
  const days = (value: number) => value.toFixed(1);
  const share = (used: number, all: number) => Math.min(1, all > 0 ? used / all : 1);
  const BASIS: Record<string, string> = {
    catch: 'from its catch',
    inspection: 'by its inspection',
    both: 'by catch or inspection, whichever is older',
    door: 'from the door: the day of catch is not known'
  };
  const STAGES: Record<string, string> = {
    before: 'before stiffness',
    setting: 'stiffness setting in',
    stiff: 'stiff: cut later, or at once and accept shrinking',
    passing: 'stiffness passing',
    past: 'past stiffness'
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
  <h2>Its clocks</h2>
  {#if clocks.freshness}
    {@const fresh = clocks.freshness}
    <div class="clock" data-clock="freshness">
      <p>
        <b>Days on ice</b>: {days(fresh.spent)} of {days(fresh.iceDays)} spent, {days(
          Math.max(0, fresh.iceDays * fresh.share - fresh.spent)
        )} left for raw <span class="soft">({BASIS[fresh.basis]})</span>
      </p>
      {@render vessel(share(fresh.spent, fresh.iceDays), fresh.share)}
      <p class="soft small">
        The upright line ends raw service{fresh.rawUntil ? `, ${moment(fresh.rawUntil, now, zone)}` : ''}; the pan ends {fresh.until
          ? moment(fresh.until, now, zone)
          : 'when it is out of the freezer'}.
      </p>
    </div>
  {:else}<p class="soft">Frozen before it came: its days on ice are the supplier’s, and not known.</p>{/if}
  {#if clocks.warm}
    {@const { spentSeconds, budgetSeconds, isHot, readBy, spells } = clocks.warm}
    <div class="clock" data-clock="warm">
      <p>
        <b>Time in the warm</b>: {formatDuration(spentSeconds)} of {formatDuration(budgetSeconds)} spent, {formatDuration(
          Math.max(0, budgetSeconds - spentSeconds)
        )} left
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
        <Fold title="When and where">
          <ul class="where">
            {#each spells as spell, index (index)}
              <li>
                {moment(spell.from, now, zone)} to {moment(spell.to, now, zone)}: {warmCause(spell.cause)}, {formatDuration(
                  (spell.to - spell.from) / 1000
                )}
              </li>
            {/each}
          </ul>
        </Fold>
      {/if}
      <p class="soft small">
        {#if isHot}Some of it was above {formatTemperature(21.1, units)}: the shorter time counts.
        {/if}Cold gives none of it back.{#if readBy !== null}
          Read it, or its place, by {moment(readBy, now, zone)}.{/if}
      </p>
    </div>
  {/if}
  {#if clocks.histamine}
    {@const warm = clocks.histamine}
    <div class="clock" data-clock="histamine">
      <p>
        <b>Histamine hours</b>: {formatDuration(warm.spentSeconds)} of {formatDuration(warm.budgetSeconds)} spent, {formatDuration(
          Math.max(0, warm.budgetSeconds - warm.spentSeconds)
        )} left
      </p>
      {@render vessel(share(warm.spentSeconds, warm.budgetSeconds))}
      <p class="soft small">
        Above {formatTemperature(4.4, units)}. Nothing gives them back: neither ice, freezing nor heat.
      </p>
    </div>
  {/if}
  {#if clocks.where.length > 0}
    <div class="clock" data-clock="where">
      <p><b>Where it lay</b></p>
      <ul class="where">
        {#each clocks.where.slice(0, 6) as stay (stay.seq + stay.from)}
          <li>
            {stay.place}, {moment(stay.from, now, zone)} to {stay.to === null ? 'now' : moment(stay.to, now, zone)}:
            {#if stay.log}
              <b>{formatTemperature(stay.log.mean, units)}</b> on average, up to {formatTemperature(
                stay.log.peak,
                units
              )}, logged for {formatDuration(stay.log.seconds)}
            {:else}<span class="soft">no log, an assumed {formatTemperature(2, units)}</span>{/if}
          </li>
        {/each}
      </ul>
    </div>
  {:else}
    <p class="soft small" data-clock="where">
      Nobody has said where it lay: its clocks run by its own readings and an assumed {formatTemperature(2, units)}.
    </p>
  {/if}
  {#if clocks.rigor}
    {@const { guide, hours, stage } = clocks.rigor}
    <p class="small" data-clock="rigor">
      <b>Stiffness</b>, a guide by how it was killed: sets in {guide.onset[0]} to {guide.onset[1]} h after death, through
      at
      {guide.through[0]} to {guide.through[1]} h on ice{#if stage && hours !== null}; at {Math.round(hours)} h now, likely
        {STAGES[stage]}{:else}. The hour of death would say where it stands{/if}.
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
