<script lang="ts">
  import { page } from '$app/state';
</script>

<h1>{page.status === 404 ? 'Not on record' : 'Something went wrong'}</h1>
<p class="trouble" role="alert">{page.error?.message}</p>
<p><a class="link" href="/">Back to Now</a></p>
