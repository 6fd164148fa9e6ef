<script lang="ts">
  import Clock from '@lucide/svelte/icons/clock-3';
  import Box from '@lucide/svelte/icons/package-open';
  import Knife from '@lucide/svelte/icons/fish';
  import Snowflake from '@lucide/svelte/icons/snowflake';
  import Layers from '@lucide/svelte/icons/layers-2';
  import Citrus from '@lucide/svelte/icons/citrus';
  import Wind from '@lucide/svelte/icons/wind';
  import Slice from '@lucide/svelte/icons/slice';
  import Bell from '@lucide/svelte/icons/concierge-bell';
  import Book from '@lucide/svelte/icons/book-open';
  import Home from '@lucide/svelte/icons/house';

  // A bench built since brings its own, in its folder.
  const brought = import.meta.glob<{ default: typeof Clock }>('../activity/*/Icon.svelte', { eager: true });

  let { path }: { path: string } = $props();
  const icons: Record<string, typeof Clock> = {
    '/': Clock,
    '/receive': Box,
    '/break': Knife,
    '/freeze': Snowflake,
    '/cure': Layers,
    '/acid': Citrus,
    '/age': Wind,
    '/slice': Slice,
    '/serve': Bell,
    '/ledger': Book,
    '/house': Home
  };
  const Icon = $derived(icons[path] ?? brought[`../activity${path}/Icon.svelte`]?.default ?? Clock);
</script>

<Icon size={22} strokeWidth={1.75} aria-hidden="true" />
