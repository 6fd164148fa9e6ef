import { ACTIVITIES } from '../activities.ts';
import * as receive from './receive.ts';
import * as note from './note.ts';
import * as inspect from './inspect.ts';
import * as returns from './returns.ts';
import * as evidence from './evidence.ts';
import * as documents from './documents.ts';
import * as board from './board.ts';
import * as batch from './batch.ts';
import * as pieces from './pieces.ts';
import * as labels from './labels.ts';
import * as knifeBooks from './knife-books.ts';
import * as cold from './cold.ts';
import * as freeze from './freeze.ts';
import * as thaw from './thaw.ts';
import * as cure from './cure.ts';
import * as acid from './acid.ts';
import * as sauces from './sauces.ts';
import * as ingredients from './ingredients.ts';
import * as age from './age.ts';
import * as services from './services.ts';
import * as recipes from './recipes.ts';
import * as knife from './knife.ts';
import * as serve from './serve.ts';
import * as ledger from './ledger.ts';
import * as house from './house.ts';
import * as book from './book.ts';
import type { Operation } from './operation.ts';

const FILES: readonly object[] = [
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
  knife,
  serve,
  ledger,
  house,
  book
];
const isOperation = (value: unknown): value is Operation =>
  typeof value === 'object' && value !== null && 'run' in value && 'place' in value && 'summary' in value;

/** Everything a person can do. Forms, API routes, the OpenAPI document and their tests all read this one list. */
export const OPERATIONS: readonly Operation[] = [
  ...FILES.flatMap((file) => Object.values(file).filter(isOperation)),
  ...ACTIVITIES.flatMap(({ operations }) => operations)
];

export const operationByName = (name: string): Operation | undefined =>
  OPERATIONS.find((operation) => operation.name === name);
