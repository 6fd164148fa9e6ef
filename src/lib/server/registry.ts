import { ACTIVITIES, type Brought } from './activities.ts';
import * as receive from './operations/receive.ts';
import * as note from './operations/note.ts';
import * as inspect from './operations/inspect.ts';
import * as returns from './operations/returns.ts';
import * as evidence from './operations/evidence.ts';
import * as documents from './operations/documents.ts';
import * as board from './operations/board.ts';
import * as batch from './operations/batch.ts';
import * as pieces from './operations/pieces.ts';
import * as labels from './operations/labels.ts';
import * as knifeBooks from './operations/knife-books.ts';
import * as cold from './operations/cold.ts';
import * as freeze from './operations/freeze.ts';
import * as thaw from './operations/thaw.ts';
import * as cure from './operations/cure.ts';
import * as acid from './operations/acid.ts';
import * as sauces from './operations/sauces.ts';
import * as ingredients from './operations/ingredients.ts';
import * as age from './operations/age.ts';
import * as services from './operations/services.ts';
import * as dishes from './operations/dishes.ts';
import * as recipes from './operations/recipes.ts';
import * as knife from './operations/knife.ts';
import * as knives from './operations/knives.ts';
import * as squaring from './operations/square.ts';
import * as pass from './operations/pass.ts';
import * as party from './operations/party.ts';
import * as serve from './operations/serve.ts';
import * as ledger from './operations/ledger.ts';
import * as house from './operations/house.ts';
import * as book from './operations/book.ts';
import type { Operation } from './operations/operation.ts';
import { BOOKS } from './queries/books.ts';
import { OF_PASS } from './queries/pass.ts';
import { OF_KNIVES } from './queries/knife.ts';
import { PREVIEWS } from './queries/previews.ts';
import { OF_FISH } from './queries/fish.ts';
import type { AnswersOf } from './answering.ts';
import type { Query } from './queries/query.ts';
import { EmberError } from '../core/errors.ts';

const FILES = [
  receive,
  note,
  inspect,
  returns,
  evidence,
  documents,
  board,
  batch,
  pieces,
  labels,
  knifeBooks,
  cold,
  freeze,
  thaw,
  cure,
  acid,
  sauces,
  ingredients,
  age,
  services,
  recipes,
  dishes,
  knife,
  squaring,
  knives,
  pass,
  party,
  serve,
  ledger,
  house,
  book
] as const;
const isOperation = (value: unknown): value is Operation =>
  typeof value === 'object' && value !== null && 'run' in value && 'page' in value && 'summary' in value;

/** Everything a person can do. Forms, API routes, the OpenAPI document and their tests all read this one list. */
export const OPERATIONS: readonly Operation[] = [
  ...FILES.flatMap((file) => (Object.values(file) as unknown[]).filter(isOperation)),
  ...ACTIVITIES.flatMap(({ operations }) => operations)
];

export const operationByName = (name: string): Operation | undefined =>
  OPERATIONS.find((operation) => operation.name === name);

/** Everything that can be asked, of fish and of what else activities keep. */
export const QUERIES: readonly Query[] = [
  ...OF_FISH,
  ...PREVIEWS,
  ...BOOKS,
  ...OF_KNIVES,
  ...OF_PASS,
  ...ACTIVITIES.flatMap(({ queries = [] }) => queries)
];

type ValuesOf<File> = File extends unknown ? File[keyof File] : never;
/** What each operation says came of it: the document's schemas are made of this type. */
export type OperationResults = AnswersOf<ValuesOf<(typeof FILES)[number]> | Brought['operations'][number]>;
/** What each query answers: the document's schemas are made of this type. */
export type QueryAnswers = AnswersOf<
  | (typeof OF_FISH)[number]
  | (typeof PREVIEWS)[number]
  | (typeof BOOKS)[number]
  | (typeof OF_KNIVES)[number]
  | (typeof OF_PASS)[number]
  | Brought['queries'][number]
>;

/** A part of a path without its escapes; as it is, where they are none. */
function unescaped(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

/** Finds the query a path belongs to, with the parts in braces filled in. */
export function matchQuery(path: string, post = false): { query: Query; parts: Record<string, string> } {
  const asked = path.split('/');
  for (const candidate of QUERIES) {
    if ((candidate.post ?? false) !== post) continue;
    const pattern = candidate.path.split('/');
    if (pattern.length !== asked.length) continue;
    const parts: Record<string, string> = {};
    const fits = pattern.every((piece, index) => {
      if (!piece.startsWith('{')) return piece === asked[index];
      parts[piece.slice(1, -1)] = unescaped(asked[index]!);
      return true;
    });
    if (fits) return { query: candidate, parts };
  }
  throw new EmberError('request.unknown-path', { seen: path });
}
