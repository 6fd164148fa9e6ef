import type { Person } from './lib/server/store/store.ts';
import type { Locale } from './lib/words/speech.ts';

declare global {
  namespace App {
    interface Locals {
      person: Person | null;
      /** Which tablet asks: a name of chance that its browser keeps; undefined for a program. */
      tablet?: string;
      theme: 'light' | 'dim';
      locale: Locale;
    }
    interface Error {
      message: string;
      code?: string;
    }
  }
}

export {};
