<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { PLACE_NAMES, rootLayout as t, told as toldWords } from '$lib/words/screens/shell.ts';
  import { speaksAs } from '$lib/words/speech.ts';
  import '../app.css';
  import { browser } from '$app/environment';
  import { afterNavigate, invalidateAll, goto, preloadCode } from '$app/navigation';
  import { page, navigating } from '$app/state';
  import { onMount } from 'svelte';
  import { keepRefusal } from '$lib/ui/answered.svelte.ts';
  import { houseNow, setServerTime, startClock } from '$lib/ui/clock.svelte.ts';
  import { followChanges } from '$lib/ui/live.ts';
  import { keyReader } from '$lib/ui/keys.ts';
  import { BENCHES, PLACES } from '$lib/ui/places.ts';
  import { scannedPiece } from '$lib/core/find.ts';
  import { lineIsLost } from '$lib/ui/line.svelte.ts';
  import { beginSending, tell } from '$lib/ui/told.svelte.ts';
  import Told from '$lib/ui/Told.svelte';
  import PlaceIcon from '$lib/ui/marks/PlaceIcon.svelte';
  import type { LayoutProps } from './$types';

  let { data, children }: LayoutProps = $props();
  // The server finds them with each request; a browser speaks with one house.
  if (browser) speaksAs(() => ({ locale: data.locale, zone: data.house.zone, units: data.house.units }));
  /** How long a page waits for more readings before it is made anew, ms. */
  const READINGS_MS = 1500;
  /** When the page is surely drawn. ms */
  const IDLE_MS = 2500;
  // svelte-ignore state_referenced_locally
  /** A share of it that each page has for itself, so that not all ask at once: from a key no other page has. */
  const turn = parseInt(data.formKey.slice(0, 4), 16) / 0x10000;
  let lost = $state(false);
  let panel = $state<'find' | 'keys' | null>(null);

  // The first paint, on the server too, stands at the server's time.
  // svelte-ignore state_referenced_locally
  setServerTime(data.now, data.frozen);
  $effect(() => setServerTime(data.now, data.frozen));
  const now = $derived(houseNow());

  afterNavigate(({ from, to }) => {
    if (from && from.url.pathname !== to?.url.pathname) keepRefusal(from.url.pathname, null);
  });
  onMount(() => {
    const stopClock = data.frozen ? () => {} : startClock();
    let pending: ReturnType<typeof setTimeout> | undefined;
    let seen = data.head;
    // A refresh in the middle of going somewhere would keep the person where they were.
    const refresh = () => {
      pending = navigating.to ? setTimeout(refresh, 150) : undefined;
      if (!navigating.to) void invalidateAll();
    };
    const stop = followChanges((message) => {
      lost = message.kind === 'lost';
      if (message.kind === 'lost') return;
      const latest = message.kind === 'change' ? message.data.seq : message.data.head;
      // What a logger sends has no entry of its own yet.
      const isReading = message.kind === 'change' && message.data.subject.startsWith('air:');
      if (latest <= seen && !isReading) return;
      seen = Math.max(seen, latest);
      // Readings come by themselves, from many sensors at once: a page follows them a few seconds behind, each tablet in its turn.
      if (isReading && pending !== undefined) return;
      clearTimeout(pending);
      pending = setTimeout(refresh, isReading ? READINGS_MS * (1 + turn) : 120);
    });
    document.documentElement.dataset.ready = 'yes';
    // What a place is drawn by is fetched while there is time: a line that is lost later takes no place away.
    const idle = setTimeout(() => {
      const code = [...PLACES.map(({ path }) => preloadCode(path)), preloadCode('/piece/any'), preloadCode('/lot/any')];
      void Promise.allSettled([...code, import('$lib/ui/Find.svelte'), import('$lib/ui/Keys.svelte')]).then(
        () => (document.documentElement.dataset.kept = 'yes')
      );
    }, IDLE_MS);
    return () => {
      stop();
      stopClock();
      clearTimeout(pending);
      clearTimeout(idle);
    };
  });

  const isKey = (key: string) => key === 'n' || key === '/' || key === '?' || PLACES.some((place) => place.key === key);
  function press(key: string) {
    const place = PLACES.find((each) => each.key === key);
    if (place) void goto(withPiece(place.path));
    else if (key === 'n') void goto('/receive');
    else if (key === '/') panel = 'find';
    else panel = 'keys';
  }
  /** A label that is scanned on a bench lays its piece there; anywhere else it opens it. */
  function takeScan(text: string) {
    const piece = scannedPiece(text);
    if (!piece) {
      sought = text;
      panel = 'find';
    } else if (BENCHES.has(page.url.pathname)) void goto(`${page.url.pathname}?piece=${encodeURIComponent(piece)}`);
    else void goto(`/piece/${encodeURIComponent(piece)}`);
  }
  const keys = keyReader(isKey, press, takeScan);
  /** What Find begins with: what was scanned and is no piece, or what was looked for elsewhere. */
  let sought = $state('');
  $effect(() => {
    const wanted = page.url.searchParams.get('find');
    if (wanted === null) return;
    sought = wanted;
    panel = 'find';
  });
  let changing = $state(false);
  /** Another hand takes the tablet: the page, its piece and what was typed stay. */
  async function setPerson(select: HTMLSelectElement) {
    const body = new URLSearchParams({ person: select.value, back: page.url.pathname });
    changing = true;
    // What is sent right after is sent by the new hand.
    const answered = beginSending();
    try {
      await fetch('/me', { method: 'POST', body, redirect: 'manual' });
      await invalidateAll();
    } catch {
      select.value = data.person?.id ?? '';
      tell({ kind: 'refused', text: toldWords.didNotReach, newer: [] });
    } finally {
      changing = false;
      answered();
    }
  }
  /** The piece somebody chose goes along to the next bench; one that a bench began with by itself does not. */
  const piece = $derived(
    page.route.id?.startsWith('/piece/') ? page.params.id : (page.url.searchParams.getAll('piece').at(-1) ?? null)
  );
  const withPiece = (path: string) =>
    piece && BENCHES.has(path) ? `${path}?piece=${encodeURIComponent(piece)}` : path;
  const here = (path: string) => (path === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(path));
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>{t.emberTide(data.house.name)}</title></svelte:head>

<a class="skip" href="#main">{t.toTheContent}</a>
<div class="frame">
  <nav class="rail" aria-label={t.places}>
    <a class="brand" href="/" aria-label={t.emberTideToNow}>
      <svg viewBox="0 0 40 26" width="40" height="26" aria-hidden="true">
        <circle cx="20" cy="11" r="6" class="sun" />
        <path d="M1 17c5-5 9-5 13 0s8 5 12 0 8-5 13 0" class="wave" />
        <path d="M1 23c5-4 9-4 13 0s8 4 12 0 8-4 13 0" class="wave" />
      </svg>
      <span>{t.emberTide2}</span>
    </a>
    <ul>
      {#each PLACES as place (place.path)}
        <li>
          <a
            href={withPiece(place.path)}
            aria-current={here(place.path) ? 'page' : undefined}
            aria-keyshortcuts={place.key}
          >
            <PlaceIcon path={place.path} />
            <span>{PLACE_NAMES[place.path]}</span>
          </a>
        </li>
      {/each}
    </ul>
    <div class="foot">
      <button type="button" onclick={() => (panel = 'find')} aria-keyshortcuts="/"><kbd>/</kbd> {t.find}</button>
      <button type="button" onclick={() => (panel = 'keys')} aria-keyshortcuts="?"><kbd>?</kbd> {t.keys}</button>
    </div>
  </nav>

  <div class="body">
    <header class="top">
      <div class="where">
        <b>{data.house.name}</b>
        <time class="soft" datetime={new Date(now).toISOString()}>{say.dayAndTime(now)}</time>
      </div>
      {#if lost || lineIsLost()}<span class="lost" role="status">{t.notConnectedShowingWhat}</span>{/if}
      <form method="POST" action="/me" class="me no-print">
        <input type="hidden" name="back" value={page.url.pathname + page.url.search} />
        <label for="who">{t.whoIsHere}</label>
        <select
          id="who"
          name="person"
          value={data.person?.id ?? ''}
          disabled={changing}
          onchange={(event) => void setPerson(event.currentTarget)}
        >
          <option value="">{t.nobodyYet}</option>
          {#each data.people as person (person.id)}<option value={person.id}>{person.name}</option>{/each}
        </select>
        <noscript><button>{t.set}</button></noscript>
      </form>
    </header>
    {#if data.readOnly}<p class="trouble" role="alert">
        {t.theRecordIsRead}
      </p>{/if}
    {#if data.loss}
      <p class="trouble" role="alert">
        {t.entriesAreGone(data.loss.noted, data.loss.found)}
        <a class="link" href="/ledger#loss">{t.goOnWithoutThem}</a>
      </p>
    {/if}
    {#if data.behind > 0}
      <p class="trouble" role="alert">
        {t.thisMachinesClockReads(say.span(data.behind))}
        {#if data.behind > 86_400}<a class="link" href="/house#clock">{t.putTimesRight}</a>{/if}
      </p>
    {/if}
    {#if data.ahead > 0}
      <p class="trouble" role="alert">
        {t.thisMachinesClockIsAhead(say.dayOfYear(now), say.span(data.ahead))}
        <a class="link" href="/house#clock">{t.sayThatItIsRight}</a>
      </p>
    {/if}
    <main id="main" tabindex="-1" aria-busy={navigating.to !== null}>{@render children()}</main>
    <Told person={data.person?.id ?? null} />
    <footer class="soft">
      {t.guidanceForTrainedStaff}
      {#if data.head > 0}<span class="stand">{t.ledgerStandsAt(data.head, data.headHash.slice(0, 16))}</span>{/if}
    </footer>
  </div>
</div>

{#if panel === 'find'}
  {#await import('$lib/ui/Find.svelte') then { default: Find }}<Find
      close={() => {
        panel = null;
        sought = '';
      }}
      first={sought}
    />{/await}
{:else if panel === 'keys'}
  {#await import('$lib/ui/Keys.svelte') then { default: Keys }}<Keys close={() => (panel = null)} />{/await}
{/if}

<style>
  .skip {
    position: absolute;
    left: -999px;
    background: var(--surface);
    padding: 0.7rem 1rem;
    z-index: 10;
  }
  .skip:focus {
    left: 1rem;
    top: 0.5rem;
  }
  .frame {
    display: grid;
    grid-template-columns: 158px minmax(0, 1fr);
    min-height: 100vh;
  }
  .rail {
    background: var(--rail);
    color: var(--rail-ink);
    display: flex;
    flex-direction: column;
    position: sticky;
    top: 0;
    height: 100vh;
    overflow-y: auto;
  }
  .brand {
    display: flex;
    flex-direction: column;
    gap: 0.2rem;
    padding: 1rem 1rem 0.9rem;
    font-weight: 700;
  }
  .sun {
    fill: var(--ember-glow);
  }
  .wave {
    fill: none;
    stroke: #8cc4da;
    stroke-width: 2.4;
    stroke-linecap: round;
  }
  .rail ul {
    display: flex;
    flex-direction: column;
  }
  .rail li a {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 52px;
    padding: 0 0.8rem;
    border-left: 5px solid transparent;
    font-size: 1.05rem;
  }
  .rail li a:hover {
    background: rgb(255 255 255 / 0.07);
  }
  .rail li a[aria-current] {
    border-left-color: var(--ember-glow);
    background: rgb(255 255 255 / 0.1);
    font-weight: 650;
  }
  .foot {
    margin-top: auto;
    padding: 0.6rem;
    display: flex;
    flex-direction: column;
  }
  .foot button {
    min-height: 44px;
    text-align: left;
    padding: 0 0.4rem;
    color: var(--rail-soft);
  }
  kbd {
    display: inline-block;
    min-width: 1.5rem;
    text-align: center;
    border: 1px solid var(--rail-soft);
    border-radius: 3px;
    margin-right: 0.35rem;
  }
  .body {
    display: flex;
    flex-direction: column;
    min-width: 0;
  }
  .top {
    display: flex;
    align-items: center;
    gap: 1rem;
    padding: 0.55rem 1.4rem;
    border-bottom: 1px solid var(--line);
    flex-wrap: wrap;
  }
  .where {
    display: flex;
    gap: 0.2rem 0.9rem;
    margin-right: auto;
    flex-wrap: wrap;
  }
  .me {
    display: flex;
    align-items: center;
    gap: 0.5rem;
  }
  .me label {
    color: var(--soft);
    font-size: 0.9rem;
  }
  .me select {
    min-height: 44px;
    max-width: 15rem;
    background-color: var(--surface);
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    color: var(--ink);
  }
  .lost {
    color: var(--ember);
    font-weight: 600;
  }
  .trouble {
    margin: 0.8rem 1.4rem 0;
  }
  main {
    padding: 1.1rem 1.4rem 2rem;
    flex: 1;
    outline: none;
  }
  footer {
    padding: 0.7rem 1.4rem;
    border-top: 1px solid var(--line);
    font-size: 0.9rem;
  }
  @media (max-width: 56.25em) {
    .frame {
      grid-template-columns: 92px minmax(0, 1fr);
    }
    .brand span {
      display: none;
    }
    .rail li a {
      flex-direction: column;
      justify-content: center;
      gap: 0.15rem;
      min-height: 68px;
      padding: 0 0.2rem;
      font-size: 0.9rem;
    }
    main {
      padding: 1rem;
    }
    .top {
      padding: 0.5rem 1rem;
    }
  }
  @media print {
    .frame {
      display: block;
    }
  }
</style>
