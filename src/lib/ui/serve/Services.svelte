<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { services as t } from '$lib/words/screens/serve.ts';
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { Service } from '$lib/core/activity/age/fold.ts';
  import { houseNow } from '../clock.svelte.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** Sittings to be ready for. What hangs to age is told by them. */
  let { services }: { services: readonly Service[] } = $props();
  const now = $derived(houseNow());
  const shown = $derived(services.filter(({ at }) => at > now - DAY));
</script>

<section class="sheet" id="services" aria-labelledby="services-name">
  <h2 id="services-name">{t.servicesAhead}</h2>
  <ul data-services={shown.length}>
    {#each shown as service (service.id)}
      <li>
        <span>
          <b>{service.name}</b>
          <span class="soft">
            {say.dayAndTime(service.at)}, {service.at < now ? t.begun : say.until(service.at, now)}{service.covers ===
            null
              ? ''
              : t.covers2(service.covers)}
          </span>
        </span>
        <OperationForm
          operation="withdraw-service"
          subject={service.id}
          submit={t.takeItOff}
          tone="quiet"
          also={{ id: service.id }}
        ></OperationForm>
      </li>
    {:else}
      <li class="soft">{t.noneIsPlannedName}</li>
    {/each}
  </ul>
  {#key shown.length}
    <OperationForm operation="set-service" submit={t.planIt}>
      <div class="fields">
        <Field name="name" label={t.service} placeholder={t.saturday} />
        <Field name="at" label={t.begins} kind="time" />
        <Field name="covers" label={t.covers} kind="number" optional />
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
