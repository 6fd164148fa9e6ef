<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { housePage as t } from '$lib/words/screens/house.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { untrack } from 'svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  /** A clock that is less behind is set, and the ledger waits for it. */
  const A_DAY_SECONDS = 86_400;
  const version = $derived(data.houseVersion);
  // As it was when it was set last: readings and people that come meanwhile must not wipe what is half typed.
  const house = $derived.by(() => {
    void version;
    return untrack(() => data.house);
  });
  const profile = $derived(data.profiles.find(({ id }) => id === house.profile)!);
  const yes = (value: boolean) => (value ? 'on' : '');
  const limits = $derived([
    ...profile.parasites.cycles.map((cycle) => ({
      what: t.freezeAtOrBelow(
        cycle.solidAt ? t.solidAtThen(say.temperature(cycle.solidAt.c)) : '',
        say.temperature(cycle.hold.c)
      ),
      figure: say.span(cycle.holdSeconds),
      of: cycle
    })),
    {
      what: t.takeInRefrigeratedFish,
      figure: `${profile.receiveCold.c} °C (${profile.receiveCold.f} °F)`,
      of: profile.receiveCold
    },
    {
      what: t.holdColdAtOr,
      figure: `${profile.coldHold.c} °C (${profile.coldHold.f} °F)`,
      of: profile.coldHold
    },
    {
      what: t.dateMarkFirstDay,
      figure: t.days(Math.min(profile.dateMark.days, house.dateMarkDays)),
      of: profile.dateMark
    },
    ...profile.timeControls.map((control) => ({
      what: t.timeAsTheControl,
      figure: say.span(control.seconds),
      of: control
    })),
    {
      what: t.histamineFishAboveC(profile.histamine.above.c, profile.histamine.above.f),
      figure: say.span(profile.histamine.seconds),
      of: profile.histamine
    },
    {
      what: t.keepFreezingRecordsBeyond,
      figure: t.days2(profile.freezeRecords.keepDays),
      of: profile.freezeRecords
    }
  ]);
  const UNITS = [
    { name: 'mass', label: t.weights, options: { g: t.gramsKilograms, oz: t.ouncesPounds } },
    { name: 'temperature', label: t.temperatures, options: { C: '°C', F: '°F' } },
    { name: 'length', label: t.lengths, options: { mm: t.millimetres, in: t.inches } },
    { name: 'volume', label: t.volumes, options: { ml: t.millilitres, floz: t.fluidOunces } }
  ] as const;
</script>

<svelte:head><title>{titled(common.house)}</title></svelte:head>
<h1>{common.house}</h1>
<nav class="books" aria-label={t.booksOfTheHouse}>
  <a href="/house/species">{t.species}</a>
  <a href="/house/documents">{t.documents}</a>
  <a href="/house/ingredients">{t.ingredients}</a>
  <a href="/house/rules">{t.ruleBooksAndNotice}</a>
  <a href="/house/sheets">{t.inspectionSheets}</a>
  <a href="/house/knife">{t.knifeWork}</a>
</nav>
{#if data.ahead > 0}
  <section class="sheet" id="clock">
    <h2>{t.theClock}</h2>
    <OperationForm operation="confirm-clock" submit={t.theClockIsRight}>
      <Field name="reason" label={common.why} placeholder={t.closedOverTheWinter} />
    </OperationForm>
  </section>
{/if}
{#if data.behind > A_DAY_SECONDS}
  <section class="sheet" id="clock">
    <h2>{t.theClock}</h2>
    <p>{t.entriesOfAWrongClock}</p>
    <OperationForm operation="correct-clock" submit={t.putThemRight}>
      <Field name="really" label={t.whenTheFirstReallyWas} kind="time" />
      <Field name="reason" label={common.why} placeholder={t.theClockWasAhead} />
    </OperationForm>
  </section>
{/if}
<div class="halves">
  <section class="sheet">
    <h2>{t.howTheHouseIs}</h2>
    {#key version}
      <OperationForm operation="set-house" seen={data.houseVersion} submit={t.setTheHouse}>
        <Field name="name" label={t.nameOfTheHouse} start={house.name} />
        <div class="fields broad">
          <Field
            name="profile"
            label={t.ruleProfile}
            kind="choice"
            start={house.profile}
            options={data.profiles.map(({ id, name, edition, house: own }) => ({
              value: id,
              name: own ? name : edition
            }))}
          />
          <Field name="zone" label={t.timeZone} start={house.zone} among={data.zones} />
          <Field name="dayEndsHour" label={t.businessDayEndsAt} kind="number" start={String(house.dayEndsHour)} />
          <Field name="currency" label={t.currency} start={house.currency} hint={t.threeLetters} />
          {#each UNITS as { name, label, options } (name)}
            <Field {name} {label} kind="choice" start={house.units[name]} {options} />
          {/each}
          <Field name="warnMinutes" label={t.warnBeforeAWindow} kind="number" start={String(house.warnMinutes)} />
          <Field
            name="rawShareOfIceDays"
            label={t.shareOfIceDays}
            kind="number"
            start={String(house.rawShareOfIceDays)}
            hint={t.toTheFirstThird}
          />
          <Field
            name="dateMarkDays"
            label={t.dateMarkDays}
            kind="number"
            start={String(house.dateMarkDays)}
            hint={t.atMostWhatThe}
          />
        </div>
        <Field
          name="susceptibleGuests"
          label={t.highlySusceptibleGuestsAre}
          kind="tick"
          start={yes(house.susceptibleGuests)}
        />
        <Field name="countFromCore" label={t.countFreezingFromThe} kind="tick" start={yes(house.countFromCore)} />
        <Field name="strictAccuracy" label={t.addTheProbesAccuracy} kind="tick" start={yes(house.strictAccuracy)} />
      </OperationForm>
    {/key}
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>{t.people}</h2>
      <ul>
        {#each data.people as person (person.id)}
          <li class="person">
            <b>{person.name}</b> <span class="soft">{t.inTheLedger(person.id)}</span>
            <Fold headClass="soft" title={t.forget}>
              <OperationForm
                operation="forget-person"
                subject={person.id}
                submit={t.forgetTheName}
                also={{ person: person.id }}
              >
                <p class="soft">{t.theNameGoesWhat(person.id)}</p>
                <Field name="reason" label={common.reason} optional />
              </OperationForm>
            </Fold>
          </li>
        {:else}<li class="soft">{t.nobodyYetTheFirst}</li>{/each}
      </ul>
      <OperationForm operation="join-person" submit={t.addAPerson}>
        <Field name="name" label={common.name} />
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>{t.light}</h2>
      <form method="POST" action="/me" class="theme">
        <input type="hidden" name="back" value={page.url.pathname} />
        <Button type="submit" name="theme" value="light" aria-pressed={data.theme === 'light'}>{t.light}</Button>
        <Button type="submit" name="theme" value="dim" aria-pressed={data.theme === 'dim'}>{t.dim}</Button>
      </form>
    </section>
    <section class="sheet">
      <h2>{profile.edition}</h2>
      <Table>
        <tbody>
          {#each limits as limit (limit.what + limit.figure)}
            <tr>
              <td
                >{limit.what}<br /><span class="soft small"
                  ><cite>{limit.of.citation}</cite>{limit.of.check ? t.checkWithYourAuthority : ''}</span
                ></td
              >
              <td class="nowrap"><b>{limit.figure}</b></td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <p class="soft small">{t.theHouseMayBe(profile.name)}</p>
    </section>
  </div>
</div>

<style>
  #clock {
    margin: 0.75rem 0;
  }
  .books {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 0.6rem;
  }
  .books a {
    display: grid;
    place-items: center;
    min-height: 48px;
    padding: 0 1.1rem;
    border: 1px solid var(--water);
    border-radius: 3px;
    font-weight: 600;
    background: var(--surface);
  }
  .person {
    border-top: 1px solid var(--line);
    padding: 0.5rem 0;
    overflow-wrap: anywhere;
  }
  .theme {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.4rem;
  }
  .nowrap {
    white-space: nowrap;
  }
</style>
