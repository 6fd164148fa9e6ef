<script lang="ts">
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
      ? 'not in this book'
      : limit.isSwitch
        ? value
          ? 'yes'
          : 'no'
        : limit.unit === '°C' && limit.id !== 'freezeColder'
          ? `${value} °C (${Math.round((value * 9) / 0.5 + 320) / 10} °F)`.replaceAll('-', '\u2212')
          : `${value} ${limit.unit}`;
  const of = (id: string) => data.copy?.changes[id];
</script>

<p><a class="link" href="/house">House</a></p>
<h1>Rule books and notice</h1>
<section class="sheet">
  <h2>Number by number</h2>
  <Table least="rows">
    <thead>
      <tr>
        <th scope="col">What the house may set in its copy</th>
        {#each data.profiles as profile (profile.id)}
          <th scope="col"
            >{profile.name}{profile.id === data.house.profile ? ' (in force)' : ''}
            {#if profile.house}<br /><a class="link" href="/house/rules?copy={profile.id}#copy">change it</a>{/if}</th
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
        ? `. Looser than ${profile.house!.base} in: ${profile.house!.looser.map(houseLimitWord).join('; ')}. It shows on every verdict.`
        : ', stricter than its base throughout'}
      (<a class="link" href="/ledger?seq={profile.house!.seq}#e{profile.house!.seq}">entry {profile.house!.seq}</a>)
    </p>
  {/each}
  <p class="soft small">
    Every number’s citation stands on the verdicts that use it. Choose the book in force on the House page.
  </p>
</section>
<div class="halves">
  <Fold
    class="sheet"
    id="copy"
    open={data.copy !== null}
    title={data.copy ? `Change ${data.copy.name}` : 'Make a copy of the house’s own'}
  >
    {#key data.copy?.id}
      <OperationForm
        operation="set-profile"
        also={{ id: data.copy?.id, base: data.copy?.base }}
        subject={data.copy?.id ?? 'new'}
        seen={data.houseVersion}
        submit={data.copy ? 'Set it' : 'Make it'}
      >
        {#if !data.copy}
          <Field name="id" label="Short id" value="house-" hint="house- and small letters, such as house-counter" />
          <Field name="base" label="A copy of" kind="choice" options={data.bases} />
        {/if}
        <Field name="name" label="Name" value={data.copy?.name ?? ''} />
        <p class="soft">Leave a field empty to keep what the book says.</p>
        <div class="fields broad">
          {#each data.limits as limit (limit.id)}
            {#if limit.isSwitch}
              <Field
                name="limit-{limit.id}"
                label={houseLimitWord(limit.id)}
                kind="choice"
                options={[
                  { value: '', name: 'as the book says' },
                  { value: '1', name: 'yes' },
                  { value: '0', name: 'no' }
                ]}
                value={of(limit.id) === undefined ? '' : String(Number(of(limit.id)))}
              />
            {:else}
              <Field
                name="limit-{limit.id}"
                label="{houseLimitWord(limit.id)}{limit.unit ? `, ${limit.unit}` : ''}"
                kind="number"
                value={of(limit.id) === undefined ? '' : String(of(limit.id))}
                optional
              />
            {/if}
          {/each}
        </div>
        <Field name="reason" label="Why" value="" />
        <Field name="own" label="I answer for it where it is looser than its base" kind="tick" />
      </OperationForm>
    {/key}
  </Fold>
  <section class="sheet">
    <h2>Raw-food notice</h2>
    <blockquote>{data.notice.text}</blockquote>
    <p class="soft">
      {data.notice.own
        ? `Worded by ${names[data.notice.own.by] ?? data.notice.own.by}. Shipped: “${data.notice.shipped}”`
        : 'As shipped for the book in force. Whether a notice must be given, and its words, is for your authority.'}
    </p>
    <OperationForm operation="set-notice" seen={data.houseVersion} submit="Use these words">
      <Field
        name="text"
        label="In the house’s words"
        kind="long"
        value={data.notice.own?.text ?? ''}
        hint="Empty brings the shipped notice back."
      />
      <Field name="reason" label="Why" />
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
