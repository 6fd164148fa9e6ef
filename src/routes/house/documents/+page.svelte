<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import DocumentForm from '$lib/ui/house/DocumentForm.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import {
    coversWords,
    DOCUMENT_KIND_WORDS,
    DOCUMENT_STATE_WORDS,
    DOCUMENT_WORDS as SAY
  } from '$lib/words/documents.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>{titled(SAY.title)}</title></svelte:head>
<p><a class="link way" href="/house">{common.house}</a></p>
<h1>{SAY.title}</h1>
<p class="soft">{SAY.lead}</p>
<ul data-documents={data.documents.length}>
  {#each data.documents as document (document.id)}
    <li class="sheet" data-document={document.state}>
      <div class="line">
        <h2>{DOCUMENT_KIND_WORDS[document.kind]} {SAY.number} {document.number}</h2>
        <b class={document.state}>{DOCUMENT_STATE_WORDS[document.state]}</b>
      </div>
      <p>{document.authority} · {say.day(document.issuedOn)} – {say.day(document.expiresOn)}</p>
      <p><b>{SAY.covers}:</b> {coversWords(document.covers)} · {document.species.join(', ') || SAY.all}</p>
      {#if document.limits}<p><b>{SAY.limits}:</b> {document.limits}</p>{/if}
      {#if document.file}<p>
          <a class="link way" href="/files/{document.file.hash}" rel="external">{document.file.name}</a>
        </p>{/if}
      {#if !document.withdrawn}
        <Fold title={SAY.again}>
          <DocumentForm {document} />
        </Fold>
        <Fold title={SAY.withdraw}>
          <OperationForm
            operation="withdraw-document"
            subject={document.id}
            submit={SAY.withdraw}
            tone="quiet"
            also={{ id: document.id }}
          >
            <Field name="reason" label={SAY.reason} />
          </OperationForm>
        </Fold>
      {/if}
    </li>
  {:else}<li class="sheet">{SAY.none}</li>{/each}
</ul>
<Fold class="sheet" open={data.documents.length === 0} title={SAY.add}>
  <DocumentForm />
</Fold>
<p class="caution">{SAY.caution}</p>

<style>
  ul {
    display: grid;
    gap: 0.8rem;
    margin: 0.8rem 0;
    overflow-wrap: anywhere;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.2rem 1rem;
  }
  .ending,
  .ended,
  .no-file {
    color: var(--ember);
  }
</style>
