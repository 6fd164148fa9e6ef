import { theApp } from '$lib/server/app.ts';
import { ledgerCsv, ledgerJsonLines } from '$lib/server/views/ledger-export.ts';
import { inParts } from '$lib/server/parts.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) => {
  const { store } = theApp();
  const csv = url.searchParams.get('format') !== 'jsonl';
  return new Response(inParts(csv ? ledgerCsv(store) : ledgerJsonLines(store)), {
    headers: {
      'content-type': csv ? 'text/csv; charset=utf-8' : 'application/x-ndjson',
      'content-disposition': `attachment; filename="ledger.${csv ? 'csv' : 'jsonl'}"`
    }
  });
};
