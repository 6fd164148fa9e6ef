<script lang="ts">
  import type { partiesView } from '$lib/server/facts/party.ts';
  import { ALLERGENS } from '$lib/core/codes/allergens.ts';
  import Fold from '../kit/Fold.svelte';
  import Table from '../kit/Table.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import Ticks from '../controls/Ticks.svelte';
  import { allergenWord } from '$lib/words/notices.ts';
  import * as say from '$lib/words/say.ts';
  import { choicePage as t } from '$lib/words/screens/serve.ts';

  /** A party course by course and seat by seat, and the touch that sends the next one to all of them. */
  let { party, now }: { party: ReturnType<typeof partiesView>['parties'][number]; now: number } = $props();
  type Seat = (typeof party.next)[number]['seats'][number];
  const [next] = $derived(party.next);
  const isShort = $derived(next?.seats.some(({ dish }) => dish === null) ?? false);
  const allergens = ALLERGENS.map((value) => ({ value, name: allergenWord(value) }));
  const why = ({ because }: Seat) =>
    because.length === 0 ? t.noPlateLeft : because.map((each) => t.why[each]).join(', ');
  const atSeat = (seat: Seat, dish: string) =>
    seat.dish === null ? t.nothing(why(seat)) : seat.dish === dish ? seat.name : t.instead(seat.name, why(seat));
</script>

<h2 id="party-{party.id}">{party.name}</h2>
<p class="soft">{t.seatsAndCourses(party.seats.length, party.courses.length)} · {t.seasoned}</p>
{#if next}
  <OperationForm
    operation="send-course"
    subject={`course ${party.id} ${next.course}`}
    submit={t.send(next.course + 1, next.name)}
    also={{ party: party.id, course: next.course + 1 }}
  >
    <p><b>{t.due(say.until(next.due, now))}</b></p>
    {#if isShort}<Field name="without" label={t.without} kind="tick" />{/if}
  </OperationForm>
  <div class="sideways">
    <Table data-courses>
      <thead>
        <tr>
          <th>{t.course}</th>
          {#each party.seats as _, seat (seat)}<th>{t.seat(seat + 1)}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each party.sent as { course, at } (course)}
          <tr class="soft"
            ><th scope="row">{course + 1}</th><td colspan={party.seats.length}>{t.went(say.clockTime(at))}</td></tr
          >
        {/each}
        {#each party.next as { course, dish, name, due, seats } (course)}
          <tr data-course={course + 1}>
            <th scope="row">{course + 1} {name}<span class="soft due">{t.due(say.clockTime(due))}</span></th>
            {#each seats as seat, at (at)}
              <td class:other={seat.dish !== dish} data-seat={at + 1}>{atSeat(seat, dish)}</td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
{:else}
  <p>{t.allGone}</p>
{/if}
{#each party.seats as seat, at (at)}
  <Fold title={t.whatSeatHas(at + 1)}>
    <OperationForm
      operation="set-seat"
      subject={`seat ${party.id} ${at + 1}`}
      submit={t.keepSeat}
      also={{ party: party.id, seat: at + 1 }}
      resets={false}
    >
      <Field name="noRaw" label={t.noRaw} kind="tick" start={seat.noRaw ? 'on' : ''} />
      <Ticks name="avoid" legend={t.avoid} options={allergens} chosen={seat.avoid} />
      <Field name="dislikes" label={t.dislikes} optional start={seat.dislikes.join(', ')} />
    </OperationForm>
  </Fold>
{/each}

<style>
  .due {
    display: block;
    font-weight: 400;
  }
  .other {
    background: var(--ember-wash);
  }
</style>
