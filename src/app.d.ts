import type { Context } from '$lib/server/services/context';

declare global {
  namespace App {
    interface Locals {
      context: Context;
    }
  }
}
