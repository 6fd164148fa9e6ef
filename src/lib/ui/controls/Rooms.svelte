<script lang="ts">
  import { page } from '$app/state';

  /** Rooms of one place on the rail, side by side. */
  let { label, rooms }: { label: string; rooms: readonly { path: string; name: string }[] } = $props();
  /** The room one is in, or the one its page hangs below. */
  const here = $derived(
    rooms
      .filter(({ path }) => page.url.pathname === path || page.url.pathname.startsWith(`${path}/`))
      .sort((a, b) => b.path.length - a.path.length)[0]?.path
  );
</script>

<nav aria-label={label}>
  {#each rooms as room (room.path)}
    <a href={room.path} aria-current={room.path !== here ? undefined : page.url.pathname === here ? 'page' : 'true'}
      >{room.name}</a
    >
  {/each}
</nav>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem;
    margin-bottom: 0.8rem;
    border-bottom: 1px solid var(--line);
  }
  a {
    display: flex;
    align-items: center;
    min-height: 48px;
    padding: 0 0.9rem;
    color: var(--soft);
    border-bottom: 4px solid transparent;
  }
  a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    border-bottom-color: var(--water);
  }
</style>
