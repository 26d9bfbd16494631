import type { Context } from '$lib/server/services/context';

declare global {
  namespace App {
    interface Locals {
      context: Context;
      /** The database was away while this was answered. */
      away?: boolean;
    }
  }
}
