<script lang="ts">
  import { DOCUMENT_KINDS, LICENSED_SCOPES, type HouseDocument } from '$lib/core/codes/documents.ts';
  import { AUTHORITY_SCOPES } from '$lib/core/rules/exceptions.ts';
  import { DOCUMENT_KIND_WORDS, DOCUMENT_WORDS as SAY, documentScopeWord } from '$lib/words/documents.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import Ticks from '../controls/Ticks.svelte';

  /** A document of the authority being filed, or mended. */
  let { document = null }: { document?: HouseDocument | null } = $props();
</script>

<OperationForm
  operation="file-document"
  subject={document?.id ?? ''}
  submit={SAY.keep}
  files
  also={{ id: document?.id ?? '' }}
>
  <div class="fields broad">
    <Field
      name="kind"
      label={SAY.kind}
      kind="choice"
      start={document?.kind ?? 'variance'}
      options={DOCUMENT_KINDS.map((value) => ({ value, name: DOCUMENT_KIND_WORDS[value] }))}
    />
    <Field name="authority" label={SAY.authority} start={document?.authority ?? ''} />
    <Field name="number" label={SAY.number} start={document?.number ?? ''} />
    <Field name="issuedOn" label={SAY.issued} kind="date" start={document?.issuedOn ?? ''} />
    <Field name="expiresOn" label={SAY.expires} kind="date" start={document?.expiresOn ?? ''} />
  </div>
  <Ticks
    name="covers"
    legend={SAY.covers}
    options={[...AUTHORITY_SCOPES, ...LICENSED_SCOPES].map((value) => ({ value, name: documentScopeWord(value) }))}
    chosen={document?.covers}
  />
  <div class="fields broad">
    <Field
      name="species"
      label={SAY.species}
      optional
      start={document?.species.join(', ') ?? ''}
      hint={SAY.speciesHint}
    />
    <Field name="limits" label={SAY.limits} optional start={document?.limits ?? ''} hint={SAY.limitsHint} />
    <Field name="file" label={SAY.file} kind="file" />
    <Field name="reason" label={SAY.reason} optional />
  </div>
</OperationForm>
