<script lang="ts">
  import { common, titled } from '$lib/words/screens/common.ts';
  import { houseRulesPage as t } from '$lib/words/screens/house.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { houseLimitWord } from '$lib/words/house-limits.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));
  const said = (value: number | null, limit: { id: string; unit: string; isSwitch: boolean }) =>
    value === null
      ? t.notInThisBook
      : limit.isSwitch
        ? value
          ? t.yes
          : t.no
        : limit.unit === '°C' && limit.id !== 'freezeColder'
          ? `${value} °C (${Math.round((value * 9) / 0.5 + 320) / 10} °F)`.replaceAll('-', '\u2212')
          : `${value} ${limit.unit}`;
  const of = (id: string) => data.copy?.changes[id];
</script>

<svelte:head><title>{titled(t.ruleBooksAndNotice)}</title></svelte:head>
<p><a class="link way" href="/house">{common.house}</a></p>
<h1>{t.ruleBooksAndNotice}</h1>
<section class="sheet">
  <h2>{t.numberByNumber}</h2>
  <Table least="rows">
    <thead>
      <tr>
        <th scope="col">{t.whatTheHouseMay}</th>
        {#each data.profiles as profile (profile.id)}
          <th scope="col"
            >{profile.name}{profile.id === data.house.profile ? t.inForce : ''}
            {#if profile.house}<br /><a class="link" href="/house/rules?copy={profile.id}#copy">{t.changeIt}</a
              >{/if}</th
          >
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each data.limits as limit (limit.id)}
        <tr>
          <th scope="row">{houseLimitWord(limit.id)}</th>
          {#each limit.values as cell (cell.profile)}
            <td class:changed={cell.changed}>{said(cell.value, limit)}</td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </Table>
  {#each data.profiles.filter((profile) => profile.house) as profile (profile.id)}
    <p class:trouble={(profile.house?.looser.length ?? 0) > 0}>
      <b>{profile.name}</b>: {names[profile.house!.by] ?? profile.house!.by}, “{profile.house!.reason}”{profile.house!
        .looser.length > 0
        ? t.looserThanInIt(profile.house!.base, profile.house!.looser.map(houseLimitWord).join('; '))
        : t.stricterThanItsBase}
      (<a class="link" href="/ledger?seq={profile.house!.seq}#e{profile.house!.seq}">{t.entry(profile.house!.seq)}</a>)
    </p>
  {/each}
  <p class="soft small">
    {t.everyNumbersCitationStands}
  </p>
</section>
<div class="halves">
  <Fold class="sheet" id="copy" open={data.copy !== null} title={data.copy ? t.change(data.copy.name) : t.makeACopyOf}>
    {#key data.copy?.id}
      <OperationForm
        operation="set-profile"
        also={{ id: data.copy?.id, base: data.copy?.base }}
        subject={data.copy?.id ?? 'new'}
        seen={data.houseVersion}
        submit={data.copy ? t.setIt : t.makeIt}
      >
        {#if !data.copy}
          <Field name="id" label={t.shortId} start="house-" hint={t.houseAndSmallLetters} />
          <Field name="base" label={t.aCopyOf} kind="choice" options={data.bases} />
        {/if}
        <Field name="name" label={common.name} start={data.copy?.name ?? ''} />
        <p class="soft">{t.leaveAFieldEmpty}</p>
        <div class="fields broad">
          {#each data.limits as limit (limit.id)}
            {#if limit.isSwitch}
              <Field
                name="limit-{limit.id}"
                label={houseLimitWord(limit.id)}
                kind="choice"
                options={[
                  { value: '', name: t.asTheBookSays },
                  { value: '1', name: t.yes },
                  { value: '0', name: t.no }
                ]}
                start={of(limit.id) === undefined ? '' : String(Number(of(limit.id)))}
              />
            {:else}
              <Field
                name="limit-{limit.id}"
                label="{houseLimitWord(limit.id)}{limit.unit ? `, ${limit.unit}` : ''}"
                kind="number"
                start={of(limit.id) === undefined ? '' : String(of(limit.id))}
                optional
              />
            {/if}
          {/each}
        </div>
        <Field name="reason" label={common.why} start="" />
        <Field name="own" label={t.iAnswerForIt} kind="tick" />
      </OperationForm>
    {/key}
  </Fold>
  <section class="sheet">
    <h2>{t.rawFoodNotice}</h2>
    <blockquote>{data.notice.text}</blockquote>
    <p class="soft">
      {data.notice.own
        ? t.wordedByShipped(names[data.notice.own.by] ?? data.notice.own.by, data.notice.shipped)
        : t.asShippedForThe}
    </p>
    <OperationForm operation="set-notice" seen={data.houseVersion} submit={t.useTheseWords}>
      <Field
        name="text"
        label={t.inTheHousesWords}
        kind="long"
        start={data.notice.own?.text ?? ''}
        hint={t.emptyBringsTheShipped}
      />
      <Field name="reason" label={common.why} />
    </OperationForm>
  </section>
</div>

<style>
  th[scope='row'] {
    border-top: 1px solid var(--line);
    color: var(--ink);
  }
  .changed {
    font-weight: 700;
    color: var(--ember);
  }
  .fields {
    align-items: end;
  }
  blockquote {
    border-left: 4px solid var(--water);
    padding: 0.3rem 0.8rem;
    margin: 0.5rem 0;
  }
</style>
