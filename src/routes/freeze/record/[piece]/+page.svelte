<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { freezeRecordOnePage as t } from '$lib/words/screens/freeze.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import ColdLog from '$lib/ui/charts/ColdLog.svelte';
  import { AIR_WORDS, PACKING_WORDS } from '$lib/words/cold.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const record = $derived(data.record);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const who = (id: string) => names[id] ?? id;
  const some = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`;
</script>

<svelte:head><title>{titled(t.freezingRecord(record.piece.id))}</title></svelte:head>
<div class="paper">
  <h1>{t.freezingRecord2}</h1>
  <p>
    {data.house.name}. <b>{record.piece.name}</b>
    {t.ofLot(record.piece.id)} <a class="link" href="/lot/{record.lot.id}">{record.lot.id}</a>
    {t.fromWritten(record.lot.supplier || t.anUnnamedSupplier, say.dayAndTime(record.at))}
  </p>
  {#each record.runs as { number, run, results, air, core, readings } (run.seq)}
    {@const release = run.ended?.release ?? null}
    {@const counted =
      results.find(({ satisfiedAt }) => satisfiedAt !== null) ??
      results.find(({ cycle }) => cycle.id === run.plan.cycle)}
    <section class="sheet">
      <h2>{record.runs.length > 1 ? t.run(number) : ''}{run.plan.place}</h2>
      <Table>
        <tbody>
          <tr
            ><th scope="row">{t.wentIn}</th><td
              >{t.byCore(say.dayAndTime(run.at), who(run.by), say.temperature(run.plan.startCore.si))}</td
            ></tr
          >
          <tr
            ><th scope="row">{t.load}</th><td
              >{t.thickest(
                run.plan.loadGrams ? say.mass(run.plan.loadGrams) : t.notWrittenDown,
                say.length(run.plan.thickness.si),
                PACKING_WORDS[run.plan.packing] ?? '',
                run.plan.stack > 1 ? t.onEachOther(run.plan.stack) : ''
              )}</td
            ></tr
          >
          <tr
            ><th scope="row">{t.freezerAir}</th><td
              >{t.planned(
                say.temperature(run.plan.air.si),
                AIR_WORDS[run.plan.airClass] ?? '',
                air ? t.loggedTo2(say.temperature(air.min), say.temperature(air.max)) : ''
              )}</td
            ></tr
          >
          {#if core}<tr
              ><th scope="row">{common.core}</th><td
                >{t.loggedTo(say.temperature(core.min), say.temperature(core.max))}</td
              ></tr
            >{/if}
          <tr
            ><th scope="row">{t.readings}</th><td
              >{t.byHand(run.readings.length, readings ? t.ofTheAirAnd(readings.air, readings.core) : '')}</td
            ></tr
          >
          <tr
            ><th scope="row">{t.cameOut}</th><td
              >{run.ended
                ? t.by(say.dayAndTime(run.ended.at), who(run.ended.by), run.ended.note ? `: ${run.ended.note}` : '')
                : t.stillIn}</td
            ></tr
          >
          {#if counted}
            <tr>
              <th scope="row">{t.provenNow}</th>
              <td data-proven-now>
                {t.atOrBelowBy(
                  say.span(counted.heldSeconds),
                  say.temperature(counted.cycle.hold.c),
                  counted.cycle.rule,
                  counted.satisfiedAt ? t.complete(say.dayAndTime(counted.satisfiedAt)) : t.notComplete,
                  counted.clock,
                  counted.accuracy === 'strict' ? 'strictly' : 'plainly',
                  some(counted.gaps.length, 'gap'),
                  some(counted.excursions.length, 'excursion')
                )}
              </td>
            </tr>
          {/if}
          {#if release}
            <tr>
              <th scope="row">{t.provenAtTheRelease}</th>
              <td>
                {t.byTheClock(
                  say.span(release.heldSeconds),
                  release.satisfiedAt ? t.complete2(say.dayAndTime(release.satisfiedAt)) : t.notComplete,
                  release.clock,
                  release.accuracy === 'strict' ? 'strictly' : 'plainly'
                )}
              </td>
            </tr>
          {/if}
          {#each counted?.gaps ?? [] as gap (gap.from)}
            <tr><th scope="row">{t.gap}</th><td>{t.toUnknown(say.dayAndTime(gap.from), say.dayAndTime(gap.to))}</td></tr
            >
          {/each}
          {#each counted?.excursions ?? [] as each (each.at)}
            <tr
              ><th scope="row">{t.excursion}</th><td
                >{t.upToTheHold(say.dayAndTime(each.at), say.temperature(each.peak))}</td
              ></tr
            >
          {/each}
        </tbody>
      </Table>
    </section>
  {:else}<p class="sheet">{t.itWasInNo}</p>{/each}
  {#if data.last && (data.last.air.length > 0 || data.last.run.readings.length > 0)}
    <ColdLog
      name="Log of the last run"
      tracks={[
        ...(data.last.air.length > 0 ? [{ name: t.air, kind: 'air' as const, bins: data.last.air }] : []),
        ...(data.last.core.length > 0 ? [{ name: t.core, kind: 'core' as const, bins: data.last.core }] : [])
      ]}
      dots={data.last.run.readings.map(({ at, celsius, probe }) => ({ at, celsius, probe }))}
      limit={data.last.target}
      from={data.last.run.at}
      to={Math.max(data.last.run.ended?.at ?? data.last.now, data.last.run.at + HOUR)}
      now={data.last.now}
    />
  {/if}
  <section class="sheet">
    <h2>{t.keptUntil}</h2>
    <p class="figure" data-keep>{record.keepUntil ?? t.notServedYet}</p>
    <p>
      {t.daysBeyondTheLast(
        record.keepDays,
        record.lastServed ? t.whichWas(say.dayAndTime(record.lastServed)) : '',
        record.stillHere ? t.someOfItIs : '',
        record.rule.citation
      )}
    </p>
  </section>
  <p class="caution">
    {t.guidanceOnlyYourLocal}
  </p>
</div>

<style>
  .paper {
    max-width: 60rem;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    overflow-wrap: anywhere;
  }
  th {
    width: min(12rem, 30%);
  }
</style>
