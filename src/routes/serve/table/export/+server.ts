import { theApp } from '$lib/server/app.ts';
import { tableView } from '$lib/server/facts/table.ts';
import { tableCsv } from '$lib/server/views/table-csv.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () =>
  new Response(tableCsv(tableView(theApp())), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="allergens.csv"'
    }
  });
