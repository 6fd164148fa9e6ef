<script lang="ts">
  import Soup from '@lucide/svelte/icons/soup';
  import type { ComponentProps } from 'svelte';

  let props: ComponentProps<typeof Soup> = $props();
</script>

<Soup {...props} />
