<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { formatDuration, formatTemperature } from '$lib/ui/format.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const house = $derived(data.house);
  const profile = $derived(data.profiles.find(({ id }) => id === house.profile)!);
  const yes = (value: boolean) => (value ? 'on' : '');
  const limits = $derived([
    ...profile.parasites.cycles.map((cycle) => ({
      what: `Freeze${cycle.solidAt ? ` solid at ${formatTemperature(cycle.solidAt.c, house.units)}, then` : ''} at or below ${formatTemperature(cycle.hold.c, house.units)}`,
      figure: formatDuration(cycle.holdSeconds),
      of: cycle
    })),
    {
      what: 'Take in refrigerated fish at or below',
      figure: `${profile.receiveCold.c} °C (${profile.receiveCold.f} °F)`,
      of: profile.receiveCold
    },
    {
      what: 'Hold cold at or below',
      figure: `${profile.coldHold.c} °C (${profile.coldHold.f} °F)`,
      of: profile.coldHold
    },
    {
      what: 'Date mark, first day counted',
      figure: `${Math.min(profile.dateMark.days, house.dateMarkDays)} days`,
      of: profile.dateMark
    },
    ...profile.timeControls.map((control) => ({
      what: 'Time as the control',
      figure: formatDuration(control.seconds),
      of: control
    })),
    {
      what: `Histamine fish above ${profile.histamine.above.c} °C (${profile.histamine.above.f} °F)`,
      figure: formatDuration(profile.histamine.seconds),
      of: profile.histamine
    },
    {
      what: 'Keep freezing records beyond service',
      figure: `${profile.freezeRecords.keepDays} days`,
      of: profile.freezeRecords
    }
  ]);
  const UNITS = [
    { name: 'mass', label: 'Weights', options: { g: 'grams, kilograms', oz: 'ounces, pounds' } },
    { name: 'temperature', label: 'Temperatures', options: { C: '°C', F: '°F' } },
    { name: 'length', label: 'Lengths', options: { mm: 'millimetres', in: 'inches' } },
    { name: 'volume', label: 'Volumes', options: { ml: 'millilitres', floz: 'fluid ounces' } }
  ] as const;
</script>

<h1>House</h1>
<nav class="books" aria-label="Books of the house">
  <a href="/house/species">Species</a>
  <a href="/house/documents">Documents</a>
  <a href="/house/ingredients">Ingredients</a>
  <a href="/house/rules">Rule books and notice</a>
  <a href="/house/sheets">Inspection sheets</a>
  <a href="/house/knife">Knife work</a>
</nav>
<div class="halves">
  <section class="sheet">
    <h2>How the house is set</h2>
    {#key data.houseVersion}
      <OperationForm operation="set-house" seen={data.houseVersion} submit="Set the house">
        <Field name="name" label="Name of the house" value={house.name} />
        <div class="fields broad">
          <Field
            name="profile"
            label="Rule profile"
            kind="choice"
            value={house.profile}
            options={data.profiles.map(({ id, name, edition, house: own }) => ({
              value: id,
              name: own ? name : edition
            }))}
          />
          <Field name="zone" label="Time zone" value={house.zone} among={data.zones} />
          <Field
            name="dayEndsHour"
            label="Business day ends at (hour)"
            kind="number"
            value={String(house.dayEndsHour)}
          />
          <Field name="currency" label="Currency" value={house.currency} hint="Three letters." />
          {#each UNITS as { name, label, options } (name)}
            <Field {name} {label} kind="choice" value={house.units[name]} {options} />
          {/each}
          <Field
            name="warnMinutes"
            label="Warn before a window closes (min)"
            kind="number"
            value={String(house.warnMinutes)}
          />
          <Field
            name="rawShareOfIceDays"
            label="Share of ice days served raw"
            kind="number"
            value={String(house.rawShareOfIceDays)}
            hint="0.1 to 0.5: the first third to the first half is usual."
          />
          <Field
            name="dateMarkDays"
            label="Date mark (days)"
            kind="number"
            value={String(house.dateMarkDays)}
            hint="At most what the profile allows."
          />
        </div>
        <Field
          name="susceptibleGuests"
          label="Highly susceptible guests are served here: no raw food"
          kind="tick"
          value={yes(house.susceptibleGuests)}
        />
        <Field
          name="countFromCore"
          label="Count freezing from the core, even where the rule book counts from the air"
          kind="tick"
          value={yes(house.countFromCore)}
        />
        <Field
          name="strictAccuracy"
          label="Add the probe’s accuracy (±0.5 °C) to every freezer reading"
          kind="tick"
          value={yes(house.strictAccuracy)}
        />
      </OperationForm>
    {/key}
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>People</h2>
      <ul>
        {#each data.people as person (person.id)}
          <li class="person">
            <b>{person.name}</b> <span class="soft">{person.id} in the ledger</span>
            <Fold headClass="soft" title="Forget">
              <OperationForm
                operation="forget-person"
                subject={person.id}
                submit="Forget the name"
                also={{ person: person.id }}
              >
                <p class="soft">The name goes; what was done stays under {person.id}.</p>
                <Field name="reason" label="Reason" optional />
              </OperationForm>
            </Fold>
          </li>
        {:else}<li class="soft">Nobody yet. The first person needs no one’s leave.</li>{/each}
      </ul>
      <OperationForm operation="join-person" submit="Add a person">
        <Field name="name" label="Name" />
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>Light</h2>
      <form method="POST" action="/me" class="theme">
        <input type="hidden" name="back" value={page.url.pathname} />
        <Button type="submit" name="theme" value="light" aria-pressed={data.theme === 'light'}>Light</Button>
        <Button type="submit" name="theme" value="dim" aria-pressed={data.theme === 'dim'}>Dim</Button>
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
                  >{limit.of.citation}{limit.of.check ? ' · check with your authority' : ''}</span
                ></td
              >
              <td class="nowrap"><b>{limit.figure}</b></td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <p class="soft small">{profile.version}. The house may be stricter than its profile, never looser in silence.</p>
    </section>
  </div>
</div>

<style>
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
