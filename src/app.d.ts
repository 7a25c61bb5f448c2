import type { Person } from '$core/job/index.ts';
import type { Prefs } from '$lib/reader/prefs.ts';

declare global {
  namespace App {
    interface Locals {
      person: Person | null;
      prefs: Prefs;
    }
    interface Error {
      message: string;
      code?: string;
    }
  }
}
export {};
