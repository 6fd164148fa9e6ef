<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import ColdLog from '$lib/ui/charts/ColdLog.svelte';
  import { dayAndTime, formatDuration, formatLength, formatMass, formatTemperature } from '$lib/ui/format.ts';
  import { AIR_WORDS, PACKING_WORDS } from '$lib/words/cold.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const record = $derived(data.record);
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const who = (id: string) => names[id] ?? id;
  const some = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`;
</script>

<svelte:head><title>Freezing record {record.piece.id} · Ember Tide</title></svelte:head>
<div class="paper">
  <h1>Freezing record</h1>
  <p>
    {data.house.name}. <b>{record.piece.name}</b>
    {record.piece.id}, of lot <a class="link" href="/lot/{record.lot.id}">{record.lot.id}</a> from {record.lot
      .supplier || 'an unnamed supplier'}. Written {dayAndTime(record.at, zone)}.
  </p>
  {#each record.runs as { number, run, results, air, core, readings } (run.seq)}
    {@const release = run.ended?.release ?? null}
    {@const counted =
      results.find(({ satisfiedAt }) => satisfiedAt !== null) ??
      results.find(({ cycle }) => cycle.id === run.plan.cycle)}
    <section class="sheet">
      <h2>{record.runs.length > 1 ? `Run ${number}: ` : ''}{run.plan.place}</h2>
      <Table>
        <tbody>
          <tr
            ><th scope="row">Went in</th><td
              >{dayAndTime(run.at, zone)}, by {who(run.by)}, core {formatTemperature(run.plan.startCore.si, units)}</td
            ></tr
          >
          <tr
            ><th scope="row">Load</th><td
              >{run.plan.loadGrams ? formatMass(run.plan.loadGrams, units) : 'not written down'}, thickest {formatLength(
                run.plan.thickness.si,
                units
              )}, {PACKING_WORDS[run.plan.packing]}{run.plan.stack > 1 ? `, ${run.plan.stack} on each other` : ''}</td
            ></tr
          >
          <tr
            ><th scope="row">Freezer air</th><td
              >planned {formatTemperature(run.plan.air.si, units)}, {AIR_WORDS[run.plan.airClass]}{air
                ? `; logged ${formatTemperature(air.min, units)} to ${formatTemperature(air.max, units)}`
                : ''}</td
            ></tr
          >
          {#if core}<tr
              ><th scope="row">Core</th><td
                >logged {formatTemperature(core.min, units)} to {formatTemperature(core.max, units)}</td
              ></tr
            >{/if}
          <tr
            ><th scope="row">Readings</th><td
              >{run.readings.length} by hand{readings
                ? `, ${readings.air} of the air and ${readings.core} of the core by logger`
                : ''}</td
            ></tr
          >
          <tr
            ><th scope="row">Came out</th><td
              >{run.ended
                ? `${dayAndTime(run.ended.at, zone)}, by ${who(run.ended.by)}${run.ended.note ? `: ${run.ended.note}` : ''}`
                : 'still in'}</td
            ></tr
          >
          {#if counted}
            <tr>
              <th scope="row">Proven now</th>
              <td data-proven-now>
                {formatDuration(counted.heldSeconds)} at or below {formatTemperature(counted.cycle.hold.c, units)} ({counted
                  .cycle.rule}), {counted.satisfiedAt
                  ? `complete ${dayAndTime(counted.satisfiedAt, zone)}`
                  : 'not complete'}; by the {counted.clock} clock, readings taken {counted.accuracy === 'strict'
                  ? 'strictly'
                  : 'plainly'}; {some(counted.gaps.length, 'gap')}, {some(counted.excursions.length, 'excursion')}
              </td>
            </tr>
          {/if}
          {#if release}
            <tr>
              <th scope="row">Proven at the release</th>
              <td>
                {formatDuration(release.heldSeconds)}, {release.satisfiedAt
                  ? `complete ${dayAndTime(release.satisfiedAt, zone)}`
                  : 'not complete'}; by the {release.clock} clock, {release.accuracy === 'strict'
                  ? 'strictly'
                  : 'plainly'}
              </td>
            </tr>
          {/if}
          {#each counted?.gaps ?? [] as gap (gap.from)}
            <tr><th scope="row">Gap</th><td>{dayAndTime(gap.from, zone)} to {dayAndTime(gap.to, zone)}: unknown</td></tr
            >
          {/each}
          {#each counted?.excursions ?? [] as each (each.at)}
            <tr
              ><th scope="row">Excursion</th><td
                >{dayAndTime(each.at, zone)}, up to {formatTemperature(each.peak, units)}; the hold started anew</td
              ></tr
            >
          {/each}
        </tbody>
      </Table>
    </section>
  {:else}<p class="sheet">It was in no freezer of this house.</p>{/each}
  {#if data.last && (data.last.air.length > 0 || data.last.run.readings.length > 0)}
    <ColdLog
      name="Log of the last run"
      tracks={[
        ...(data.last.air.length > 0 ? [{ name: 'air', kind: 'air' as const, bins: data.last.air }] : []),
        ...(data.last.core.length > 0 ? [{ name: 'core', kind: 'core' as const, bins: data.last.core }] : [])
      ]}
      dots={data.last.run.readings.map(({ at, celsius, probe }) => ({ at, celsius, probe }))}
      limit={data.last.target}
      from={data.last.run.at}
      to={Math.max(data.last.run.ended?.at ?? data.last.now, data.last.run.at + HOUR)}
      now={data.last.now}
      {zone}
      {units}
    />
  {/if}
  <section class="sheet">
    <h2>Kept until</h2>
    <p class="figure" data-keep>{record.keepUntil ?? 'not served yet'}</p>
    <p>
      {record.keepDays} days beyond the last service{record.lastServed
        ? `, which was ${dayAndTime(record.lastServed, zone)}`
        : ''}{record.stillHere ? '; some of it is still here, and every service moves this day' : ''}. {record.rule
        .citation}.
    </p>
  </section>
  <p class="caution">
    Guidance only: your local code and licensed practice decide. What stands here is read from the ledger as it is now.
  </p>
</div>

<style>
  .paper {
    max-width: 60rem;
    display: grid;
    gap: 0.9rem;
  }
  th {
    width: 12rem;
  }
</style>
