<script lang="ts">
  import { page } from '$app/state';

  /** Rooms of one place on the rail, side by side. */
  let { label, rooms }: { label: string; rooms: readonly { path: string; name: string }[] } = $props();
</script>

<nav aria-label={label}>
  {#each rooms as room (room.path)}
    <a href={room.path} aria-current={page.url.pathname === room.path ? 'page' : undefined}>{room.name}</a>
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
