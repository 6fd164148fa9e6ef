<script lang="ts">
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { Service } from '$lib/core/activity/age/fold.ts';
  import { houseNow } from '../clock.svelte.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime, until } from '../format.ts';

  /** Sittings to be ready for. What hangs to age is told by them. */
  let { services, zone }: { services: readonly Service[]; zone: string } = $props();
  const now = $derived(houseNow());
  const shown = $derived(services.filter(({ at }) => at > now - DAY));
</script>

<section class="sheet" id="services" aria-labelledby="services-name">
  <h2 id="services-name">Services ahead</h2>
  <ul data-services={shown.length}>
    {#each shown as service (service.id)}
      <li>
        <span>
          <b>{service.name}</b>
          <span class="soft">
            {dayAndTime(service.at, zone)}, {service.at < now ? 'begun' : until(service.at, now)}{service.covers ===
            null
              ? ''
              : `, ${service.covers} covers`}
          </span>
        </span>
        <OperationForm
          operation="withdraw-service"
          subject={service.id}
          submit="Take it off"
          tone="quiet"
          also={{ id: service.id }}
        ></OperationForm>
      </li>
    {:else}
      <li class="soft">None is planned. Name one, and what ages is told which service it will be ready for.</li>
    {/each}
  </ul>
  {#key shown.length}
    <OperationForm operation="set-service" submit="Plan it">
      <div class="fields">
        <Field name="name" label="Service" placeholder="Saturday" />
        <Field name="at" label="Begins" kind="time" />
        <Field name="covers" label="Covers" kind="number" optional />
      </div>
    </OperationForm>
  {/key}
</section>

<style>
  section {
    margin-top: 1rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    justify-content: space-between;
    align-items: center;
    border-top: 1px solid var(--line);
    min-height: 56px;
    overflow-wrap: anywhere;
  }
</style>
