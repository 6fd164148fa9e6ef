<script lang="ts">
  import { rootError as t } from '$lib/words/screens/shell.ts';
  import { page } from '$app/state';
</script>

<h1>{page.status === 404 ? t.notOnRecord : t.somethingWentWrong}</h1>
<p class="trouble" role="alert">{page.error?.message}</p>
<p><a class="link way" href="/">{t.backToNow}</a></p>
