import type { Person } from './lib/server/store/store.ts';

declare global {
  namespace App {
    interface Locals {
      person: Person | null;
      theme: 'light' | 'dim';
    }
    interface Error {
      message: string;
      code?: string;
    }
  }
}

export {};
